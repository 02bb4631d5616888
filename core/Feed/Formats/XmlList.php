<?php

declare(strict_types=1);

namespace Lokum\Feed\Formats;

use DOMElement;
use Generator;
use Lokum\Feed\SupplierFile;
use Lokum\Feed\UnreadableFile;
use XMLReader;

/**
 * An XML document (W3C XML 1.0) in which an element comes again and again: its attributes and what is inside it are the columns.
 * Entities are not resolved and nothing is fetched.
 */
final class XmlList implements Format
{
    private const DEEPEST = 6;

    public static function isOf(string $head, LocalFile $file): bool
    {
        return preg_match('/^\s*<(?:\?xml|!|[A-Za-z_\x80-\xff])/', $head) === 1 &&
            preg_match('/<(?:!DOCTYPE\s+)?html\b/i', substr($head, 0, 1000)) !== 1;
    }

    public static function open(LocalFile $file): SupplierFile
    {
        $chosen = self::repeated($file);

        return new RecordFile(
            fn (): Generator => self::records($file, $chosen),
            ['XML', 'the elements "'.basename($chosen).'"'],
        );
    }

    /** The outermost element that comes more than once in the same place; where none does, the first with something inside. */
    private static function repeated(LocalFile $file): string
    {
        $times = [];
        $inside = [];
        $reader = self::reader($file);
        $names = [];
        while (self::next($reader)) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->depth < self::DEEPEST) {
                $names = [...array_slice($names, 0, $reader->depth), $reader->localName];
                $place = implode('/', $names);
                $times[$place] = ($times[$place] ?? 0) + 1;
                $above = implode('/', array_slice($names, 0, -1));
                $inside[$above] = true;
                if ($reader->hasAttributes) {
                    $inside[$place] = true;
                }
            }
        }
        $reader->close();
        $filled = array_intersect_key($times, $inside);
        $again = array_filter($filled, fn (int $n): bool => $n > 1);
        $alone = array_filter($filled, fn (string $place): bool => str_contains($place, '/'), ARRAY_FILTER_USE_KEY);
        $found = $again === [] ? $alone : $again;
        if ($found === []) {
            throw UnreadableFile::noRecords();
        }
        uksort($found, fn (string $a, string $b): int => [substr_count($a, '/'), -$found[$a]] <=> [substr_count($b, '/'), -$found[$b]]);

        return array_key_first($found);
    }

    /** @return Generator<int, array<string, string>> */
    private static function records(LocalFile $file, string $chosen): Generator
    {
        $reader = self::reader($file);
        $names = [];
        $number = 0;
        $more = self::next($reader);
        while ($more) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->depth < self::DEEPEST) {
                $names = [...array_slice($names, 0, $reader->depth), $reader->localName];
                if (implode('/', $names) === $chosen) {
                    $node = $reader->expand();
                    yield ++$number => $node instanceof DOMElement ? self::texts($node) : [];
                    $more = $reader->next();
                    XmlErrors::check();

                    continue;
                }
            }
            $more = self::next($reader);
        }
        $reader->close();
    }

    /** @return array<string, string> */
    private static function texts(DOMElement $element): array
    {
        return array_map(fn (array $parts): string => implode('|', $parts), self::parts($element, ''));
    }

    /** @return array<string, list<string>> */
    private static function parts(DOMElement $element, string $name): array
    {
        $parts = [];
        foreach ($element->attributes as $attribute) {
            $parts[ltrim("{$name}.{$attribute->localName}", '.')][] = trim((string) $attribute->nodeValue);
        }
        $own = '';
        $hasElements = false;
        foreach ($element->childNodes as $child) {
            if ($child instanceof DOMElement) {
                $hasElements = true;
                foreach (self::parts($child, ltrim("{$name}.{$child->localName}", '.')) as $inner => $texts) {
                    $parts[$inner] = [...$parts[$inner] ?? [], ...$texts];
                }
            } elseif (in_array($child->nodeType, [XML_TEXT_NODE, XML_CDATA_SECTION_NODE], true)) {
                $own .= (string) $child->nodeValue;
            }
        }
        if (trim($own) !== '' || (! $hasElements && $name !== '')) {
            $parts[$name === '' ? $element->localName : $name] = trim($own) === '' ? [] : [trim($own)];
        }

        return $parts;
    }

    private static function reader(LocalFile $file): XMLReader
    {
        XmlErrors::keep();
        $reader = XMLReader::open($file->path, null, LIBXML_NONET | LIBXML_COMPACT | LIBXML_NOCDATA);

        return $reader === false ? throw UnreadableFile::cannotOpen(basename($file->path)) : $reader;
    }

    private static function next(XMLReader $reader): bool
    {
        $more = $reader->read();
        if (! $more) {
            XmlErrors::check();
        } elseif ($reader->nodeType === XMLReader::ENTITY_REF) {
            throw UnreadableFile::damaged('it names an entity of its own, which is not resolved');
        }

        return $more;
    }
}
