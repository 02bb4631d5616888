<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** How one CSV file is written. */
final readonly class Dialect
{
    public const DELIMITERS = [
        ',' => 'comma',
        ';' => 'semicolon',
        "\t" => 'tab',
        '|' => 'bar',
    ];

    /**
     * @param  string  $encoding  "UTF-8", "UTF-16LE", "UTF-16BE" or "Windows-1252"
     * @param  bool  $marked  whether the file begins with a byte order mark
     * @param  key-of<self::DELIMITERS>  $delimiter  one of the keys of {@see DELIMITERS}
     * @param  int  $headingLine  physical line of the headings, from 1
     * @param  list<string>  $headings  as they stand, stray spaces and all
     */
    public function __construct(
        public string $encoding,
        public bool $marked,
        public string $delimiter,
        public int $headingLine,
        public array $headings,
    ) {
    }

    public function delimiterName(): string
    {
        return self::DELIMITERS[$this->delimiter];
    }
}
