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

    /** @param  resource  $file */
    public function __construct(private $file)
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
     * @return resource the CSV
     *
     * @throws Refused when the archive has none, or more than one
     */
    public function csv()
    {
        if ($this->archive === null) {
            return $this->file;
        }
        $names = [];
        for ($i = 0; $i < min(self::MOST, $this->archive->numFiles); $i++) {
            $stat = $this->archive->statIndex($i);
            if ($stat !== false && str_ends_with(mb_strtolower($stat['name']), '.csv')) {
                $names[$stat['name']] = $stat['size'];
            }
        }
        if (count($names) !== 1) {
            throw new Refused(
                $names === []
                    ? 'The archive has no CSV.'
                    : 'The archive has several lists: '.implode(', ', array_keys($names)).'. Send one.',
            );
        }
        $text = max($names) > self::LARGEST_LIST ? false : $this->archive->getFromName((string) array_key_first($names));
        $copy = fopen('php://temp', 'w+b');
        if ($copy === false || ! is_string($text)) {
            throw new Refused('The list in the archive cannot be read, or is larger than 100 MB.');
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
            return Pictures::keep($bytes);
        }
        throw new Refused("The picture \"{$name}\" did not come with the list.");
    }
}
