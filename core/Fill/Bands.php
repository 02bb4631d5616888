<?php

declare(strict_types=1);

namespace Lokum\Fill;

use InvalidArgumentException;

/** Numbers to labels (C7): a band holds its lower end and not its upper; the first band that holds a number counts. */
final readonly class Bands
{
    /** @param  list<array{from: float|null, to: float|null, label: string}>  $bands */
    public function __construct(public array $bands)
    {
        foreach ($bands as $i => $band) {
            if ($band['from'] !== null && $band['to'] !== null && $band['from'] >= $band['to']) {
                throw new InvalidArgumentException('Band '.($i + 1).' ends before it begins.');
            }
            if (trim($band['label']) === '') {
                throw new InvalidArgumentException('Band '.($i + 1).' has no label.');
            }
        }
    }

    /** What the band says that a number falls into; null where none holds it. */
    public function label(float $number): ?string
    {
        foreach ($this->bands as $band) {
            if (($band['from'] === null || $number >= $band['from']) && ($band['to'] === null || $number < $band['to'])) {
                return $band['label'];
            }
        }

        return null;
    }
}
