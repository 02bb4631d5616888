<?php

declare(strict_types=1);

namespace Lokum\Lineup;

use Lokum\Vocabulary\Kind;

/** How shoppers answer a filter. */
enum Control: string
{
    case Ticks = 'ticks';
    case Cubes = 'cubes';
    case Menu = 'menu';
    case Flag = 'flag';
    case Scale = 'scale';

    public function label(): string
    {
        return match ($this) {
            self::Ticks => 'Tick list',
            self::Cubes => 'Cubes with colors',
            self::Menu => 'Drop-down',
            self::Flag => 'Yes or no',
            self::Scale => 'From – to',
        };
    }

    /** @return list<self> the controls that a filter over this kind of definition can have, the usual one first */
    public static function fitting(Kind $kind): array
    {
        return match ($kind) {
            Kind::Choice => [self::Ticks, self::Cubes, self::Menu],
            Kind::Flag => [self::Flag, self::Ticks, self::Menu],
            Kind::Number => [self::Scale],
            Kind::Text, Kind::Date => [],
        };
    }

    /**
     * The control that a person would most likely choose.
     *
     * @param  int  $terms  how many it would offer
     * @param  int  $dressed  how many of them have colors
     */
    public static function proposeFor(Kind $kind, int $terms, int $dressed): ?self
    {
        if ($kind === Kind::Choice && $terms > 0 && $dressed * 2 >= $terms) {
            return self::Cubes;
        }

        return self::fitting($kind)[0] ?? null;
    }
}
