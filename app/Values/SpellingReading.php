<?php

declare(strict_types=1);

namespace App\Values;

use App\Models\Definition;
use Lokum\Quantity\Quantity;
use Lokum\Quantity\UnreadableQuantity;
use Lokum\Text\Label;
use Lokum\Vocabulary\DayOrder;
use Lokum\Vocabulary\DayText;
use Lokum\Vocabulary\FlagWord;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\UnreadableDay;

/** What a text is read as by a kind of definition: a number (a date as days since 1970), yes or no, or a reason why not. */
final readonly class SpellingReading
{
    private function __construct(public ?float $number = null, public ?bool $flag = null, public ?string $problem = null)
    {
    }

    public static function by(Definition $definition, string $text): self
    {
        return self::of($definition->kind, $definition->unit, $text, $definition->day_order);
    }

    /** @param  DayOrder|null  $order  of dates in digits, where somebody has said it */
    public static function of(Kind $kind, ?string $unit, string $text, ?DayOrder $order = null): self
    {
        return match ($kind) {
            Kind::Number => self::number($unit, $text),
            Kind::Flag => self::flag($text),
            Kind::Date => self::date($text, $order),
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

    private static function date(string $text, ?DayOrder $order): self
    {
        try {
            return new self(number: (float) DayText::read(Label::of($text), $order));
        } catch (UnreadableDay $why) {
            return new self(problem: $why->getMessage());
        }
    }
}
