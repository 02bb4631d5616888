<?php

declare(strict_types=1);

namespace Lokum\Feed;

/** A record of a CSV file (RFC 4180) while it is read, piece by piece; each byte is looked at once. */
final class OpenRecord
{
    private CellState $state = CellState::Begins;

    private string $cell = '';

    /** @var list<string> */
    private array $cells = [];

    private int $size = 0;

    private ?string $problem = null;

    /**
     * @param  non-empty-string  $delimiter  one character
     * @param  int  $longest  of the record, in bytes; a longer one is read to its end and kept no more
     */
    public function __construct(private readonly string $delimiter, private readonly int $longest)
    {
    }

    /**
     * @param  string  $piece  the rest of a line with its end, or part of it; never cut between "\r" and "\n"
     * @return bool whether the record ends with it
     */
    public function take(string $piece): bool
    {
        $stop = strlen($piece) - (str_ends_with($piece, "\r\n") ? 2 : (str_ends_with($piece, "\n") ? 1 : 0));
        $at = 0;
        while ($this->problem === null) {
            if ($this->state === CellState::Quoted) {
                $close = strpos($piece, '"', $at);
                if ($close === false) {
                    $this->keep(substr($piece, $at));

                    return false;
                }
                $this->keep(substr($piece, $at, $close - $at));
                $this->state = CellState::Closing;
                $at = $close + 1;
            } elseif ($at >= $stop) {
                break;
            } else {
                $at += $this->outsideQuotes($piece, $at, $stop);
            }
        }

        return $stop < strlen($piece);
    }

    /** Whether it may end here, at the end of the file. */
    public function mayEnd(): bool
    {
        return $this->state !== CellState::Quoted;
    }

    public function hasProblem(): bool
    {
        return $this->problem !== null;
    }

    /** @param  int  $line  on which it began */
    public function row(int $line): Row
    {
        if ($this->size > $this->longest) {
            return new Row($line, [], 'the row is longer than '.($this->longest >> 20).' MiB');
        }

        return new Row($line, [...$this->cells, $this->cell], $this->problem);
    }

    /** @return int how many bytes were taken, at least one */
    private function outsideQuotes(string $piece, int $at, int $stop): int
    {
        if ($piece[$at] === $this->delimiter) {
            $this->cells[] = $this->cell;
            $this->cell = '';
            $this->state = CellState::Begins;

            return 1;
        }
        if ($piece[$at] === '"' && $this->state !== CellState::Plain) {
            if ($this->state === CellState::Closing) {
                $this->keep('"');
            }
            $this->state = CellState::Quoted;

            return 1;
        }
        if ($this->state === CellState::Closing) {
            $this->problem =
                'text follows a closing quote in cell '.
                (count($this->cells) + 1).
                '; a quote inside a quoted cell is written twice';

            return 1;
        }
        $length = strcspn($piece, $this->delimiter, $at, $stop - $at);
        $this->keep(substr($piece, $at, $length));
        $this->state = CellState::Plain;

        return $length;
    }

    private function keep(string $text): void
    {
        $this->size += strlen($text);
        if ($this->size > $this->longest) {
            $this->cells = [];
            $this->cell = '';
        } else {
            $this->cell .= $text;
        }
    }
}
