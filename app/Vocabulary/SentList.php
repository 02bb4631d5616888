<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Support\Pictures;
use App\Support\Refused;
use ZipArchive;

/** A list of values as somebody sends it: CSV, or an archive of one with the pictures that it names. */
final class SentList
{
    /** Entries of an archive that are looked at. */
    private const MOST = 10_000;

    private const LARGEST_LIST = 100 << 20;

    private ?ZipArchive $archive = null;

    /**
     * @param  resource  $file
     * @param  bool  $keeps  whether its pictures are kept; else they are only looked at
     */
    public function __construct(private $file, private readonly bool $keeps)
    {
        rewind($file);
        $begins = (string) fread($file, 4);
        rewind($file);
        if ($begins === "PK\x03\x04") {
            $this->archive = new ZipArchive();
            if ($this->archive->open(stream_get_meta_data($file)['uri'] ?? '', ZipArchive::RDONLY) !== true) {
                throw new Refused('The archive cannot be read.');
            }
        }
    }

    /**
     * @return resource the only list, or the one that is called like the attribute
     *
     * @throws Refused when the archive has none, or several that are called otherwise
     */
    public function csv(string $attribute)
    {
        if ($this->archive === null) {
            return $this->file;
        }
        $names = $this->names();
        $chosen = $names[$attribute] ?? (count($names) === 1 ? array_values($names)[0] : null);

        return $this->open($chosen ?? throw new Refused(
            $names === []
                ? 'The archive has no list: no .csv, .ttl or .jsonld.'
                : 'The archive has several lists, and none is called like the attribute: '.implode(', ', $names).'.',
        ));
    }

    /** @return array<string, string> lists of the archive by what they are called without their ending; none where it is no archive */
    public function names(): array
    {
        $names = [];
        for ($i = 0; $i < min(self::MOST, $this->archive->numFiles ?? 0); $i++) {
            $name = (string) $this->archive?->getNameIndex($i);
            if (preg_match('/\.(csv|ttl|jsonld)$/iD', $name) === 1) {
                $names[pathinfo($name, PATHINFO_FILENAME)] ??= $name;
            }
        }

        return $names;
    }

    /** @return resource */
    private function open(string $name)
    {
        $size = $this->archive?->statName($name)['size'] ?? 0;
        $text = $size > self::LARGEST_LIST ? false : $this->archive?->getFromName($name);
        $copy = fopen('php://temp', 'w+b');
        if ($copy === false || ! is_string($text)) {
            throw new Refused("{$name} cannot be read, or is larger than 100 MB.");
        }
        fwrite($copy, $text);
        rewind($copy);

        return $copy;
    }

    /**
     * @param  string  $name  as the list has it
     * @return string|null the name that it is kept by; null where none is named
     *
     * @throws Refused when it is neither in the archive nor kept here
     */
    public function picture(string $name): ?string
    {
        $name = trim($name);
        if ($name === '') {
            return null;
        }
        // Its name is made from what it shows: one that is kept already is the same.
        if (preg_match('/^[a-f0-9]{32}\.webp$/D', $name) === 1 && is_file(Pictures::path($name))) {
            return $name;
        }
        $bytes = $this->archive?->getFromName("pictures/{$name}", Pictures::LARGEST_FILE + 1);
        if (is_string($bytes)) {
            return $this->keeps ? Pictures::keep($bytes) : Pictures::name($bytes);
        }
        throw new Refused("The picture \"{$name}\" did not come with the list.");
    }
}
