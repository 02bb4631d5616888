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
    case Bands = 'bands';
    case Words = 'words';
    case Dates = 'dates';
    case Letters = 'letters';
    case Nested = 'nested';

    public function label(): string
    {
        return match ($this) {
            self::Ticks => 'Tick list',
            self::Cubes => 'Cubes with their looks',
            self::Menu => 'Drop-down',
            self::Flag => 'Yes or no',
            self::Scale => 'From – to',
            self::Bands => 'Bands',
            self::Words => 'Text box',
            self::Dates => 'From day – to day',
            self::Letters => 'A – Z list',
            self::Nested => 'Umbrellas with their values',
        };
    }

    /** @return non-empty-list<self> the controls that a filter over this kind of definition can have, the usual one first */
    public static function fitting(Kind $kind): array
    {
        return match ($kind) {
            Kind::Choice => [self::Ticks, self::Cubes, self::Menu, self::Letters, self::Nested],
            Kind::Flag => [self::Flag, self::Ticks, self::Menu],
            Kind::Number => [self::Scale, self::Bands],
            Kind::Text => [self::Words],
            Kind::Date => [self::Dates],
        };
    }

    /**
     * The control that a person would most likely choose.
     *
     * @param  int  $terms  how many it would offer
     * @param  int  $dressed  how many of them have colors
     */
    public static function proposeFor(Kind $kind, int $terms, int $dressed): self
    {
        if ($kind === Kind::Choice && $terms > 0 && $dressed * 2 >= $terms) {
            return self::Cubes;
        }

        // A list that nobody reads from end to end is looked up by its letters.
        return $kind === Kind::Choice && $terms > 60 ? self::Letters : self::fitting($kind)[0];
    }
}
