<?php

declare(strict_types=1);

namespace App\Values;

use Lokum\Quantity\Quantity;
use Lokum\Quantity\UnreadableQuantity;
use Lokum\Text\Label;
use Lokum\Vocabulary\Day;
use Lokum\Vocabulary\FlagWord;
use Lokum\Vocabulary\Kind;

/** What a text is read as by a kind of definition: a number (a date as days since 1970), yes or no, or a reason why not. */
final readonly class SpellingReading
{
    private function __construct(public ?float $number = null, public ?bool $flag = null, public ?string $problem = null)
    {
    }

    public static function of(Kind $kind, ?string $unit, string $text): self
    {
        return match ($kind) {
            Kind::Number => self::number($unit, $text),
            Kind::Flag => self::flag($text),
            Kind::Date => self::date($text),
            Kind::Choice, Kind::Text => new self(),
        };
    }

    private static function number(?string $unit, string $text): self
    {
        try {
            return new self(number: Quantity::in($unit, Label::of($text)));
        } catch (UnreadableQuantity $why) {
            return new self(problem: $why->getMessage());
        }
    }

    private static function flag(string $text): self
    {
        $flag = FlagWord::read($text);

        return $flag === null
            ? new self(problem: '"'.mb_strimwidth(Label::of($text), 0, 60, '…').'" says neither yes nor no')
            : new self(flag: $flag);
    }

    private static function date(string $text): self
    {
        $day = Day::number(Label::of($text));

        return $day === null
            ? new self(problem: '"'.mb_strimwidth(Label::of($text), 0, 60, '…').'" is not a date of the form 2026-11-30')
            : new self(number: (float) $day);
    }
}
