<?php

declare(strict_types=1);

namespace Lokum\Lineup;

/** Which of an attribute's terms a filter offers. */
enum TermChoice: string
{
    case Follow = 'follow';
    case Except = 'except';
    case Only = 'only';

    public function label(): string
    {
        return match ($this) {
            self::Follow => 'Follow: all, new ones too',
            self::Except => 'All but these',
            self::Only => 'Only these',
        };
    }

    /**
     * Whether a term is offered.
     *
     * @param  bool  $chosen  whether somebody chose it by name
     */
    public function offers(bool $chosen): bool
    {
        return match ($this) {
            self::Follow => true,
            self::Except => ! $chosen,
            self::Only => $chosen,
        };
    }
}
