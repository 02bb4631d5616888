<?php

declare(strict_types=1);

namespace Lokum\Lineup;

use Lokum\Quantity\TypedNumber;
use Lokum\Vocabulary\Day;

/**
 * A range as somebody typed it for a scale (C7): what it is taken as, and what has to be said about that. Where the filter goes in
 * steps or has fixed ends, numbers snap to the nearest stop; what is no number is left out with a reason.
 */
final readonly class TypedRange
{
    /**
     * @param  float|null  $from  null: everything below
     * @param  float|null  $to  null: everything above
     * @param  list<string>  $refused  ends that were left out, with the reason
     * @param  list<string>  $snapped  ends that were taken as others
     */
    private function __construct(public ?float $from, public ?float $to, public array $refused, public array $snapped)
    {
    }

    /** The wrong way round is set right. */
    public static function read(FilterSettings $filter, string $from, string $to): self
    {
        $refused = $snapped = $ends = [];
        foreach ([trim($from), trim($to)] as $text) {
            $typed = $text === '' ? null : self::number($filter, $text);
            if ($text !== '' && $typed === null) {
                $refused[] =
                    $filter->control === Control::Dates
                        ? "{$filter->title}: “{$text}” is no day such as 2026-11-30, so it was left out."
                        : "{$filter->title}: “{$text}” is not a number, so it was left out.";
            }
            $taken = $typed === null ? null : self::stop($filter, $typed);
            if ($typed !== $taken) {
                $snapped[] =
                    "{$filter->title}: {$text} was taken as ".self::plain((float) $taken).', the nearest stop of the scale.';
            }
            $ends[] = $taken;
        }
        [$low, $high] = $ends[0] !== null && $ends[1] !== null && $ends[0] > $ends[1] ? [$ends[1], $ends[0]] : $ends;

        return new self($low, $high, $refused, $snapped);
    }

    private static function number(FilterSettings $filter, string $text): ?float
    {
        $day = $filter->control === Control::Dates ? Day::number($text) : null;

        return $filter->control === Control::Dates ? ($day === null ? null : (float) $day) : TypedNumber::read($text);
    }

    private static function stop(FilterSettings $filter, float $number): float
    {
        if ($filter->control === Control::Dates) {
            return $number;
        }
        $number = max($filter->from ?? -INF, min($filter->to ?? INF, $number));
        $first = $filter->from ?? 0.0;

        return ($filter->step ?? 0.0) > 0
            ? round($first + round(($number - $first) / $filter->step) * $filter->step, 10)
            : $number;
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 6, '.', ''), '0'), '.');
    }
}
