<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use Generator;
use Lokum\Feed\UnreadableFile;
use XMLReader;
use ZipArchive;

/** The XML documents inside an archive, read element by element. Nothing is fetched and no entity is resolved. */
final class ZipXml
{
    private const TEXT = [XMLReader::TEXT, XMLReader::CDATA, XMLReader::WHITESPACE, XMLReader::SIGNIFICANT_WHITESPACE];

    /** Whether an archive it is and holds an entry. */
    public static function has(LocalFile $file, string $entry): bool
    {
        $zip = new ZipArchive();

        return $zip->open($file->path, ZipArchive::RDONLY) === true && $zip->locateName($entry) !== false;
    }

    /**
     * @param  string  ...$names  local names of the elements wanted
     * @return Generator<int, XMLReader> the reader at each of them; it may be moved to its end
     *
     * @throws UnreadableFile
     */
    public static function elements(LocalFile $file, string $entry, string ...$names): Generator
    {
        XmlErrors::keep();
        $reader = XMLReader::open("zip://{$file->path}#{$entry}", null, LIBXML_NONET | LIBXML_COMPACT);
        if ($reader === false) {
            throw UnreadableFile::damaged("there is no {$entry} in it");
        }
        while (@$reader->read()) {
            if ($reader->nodeType === XMLReader::ELEMENT && in_array($reader->localName, $names, true)) {
                yield $reader;
            }
        }
        XmlErrors::check($entry);
        $reader->close();
    }

    /**
     * The text in all elements of a name inside the one at which a reader stands; the reader is then at its end.
     *
     * @param  string|null  $without  elements whose texts do not count
     * @param  string  $between  stands between the texts of two of them
     */
    public static function textIn(XMLReader $reader, string $name, ?string $without = null, string $between = ''): string
    {
        if ($reader->isEmptyElement) {
            return '';
        }
        $texts = [];
        [$depth, $inside, $left] = [$reader->depth, null, null];
        while (@$reader->read() && $reader->depth > $depth) {
            $isElement = $reader->nodeType === XMLReader::ELEMENT && ! $reader->isEmptyElement;
            if ($left !== null) {
                $left = $reader->depth > $left ? $left : null;
            } elseif ($isElement && $reader->localName === $without) {
                $left = $reader->depth;
            } elseif ($isElement && $inside === null && $reader->localName === $name) {
                $inside = $reader->depth;
                $texts[] = '';
            } elseif ($inside !== null && $reader->depth <= $inside) {
                $inside = null;
            } elseif ($inside !== null && in_array($reader->nodeType, self::TEXT, true)) {
                $texts[count($texts) - 1] .= $reader->value;
            }
        }

        return implode($between, $texts);
    }
}
