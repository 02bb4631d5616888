<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use InvalidArgumentException;

/** How a term is dressed: one to three colors or a picture (or neither yet), a label of its own for shoppers, a short help. */
final readonly class Look
{
    /**
     * @param  list<string>  $colors  "#rrggbb", at most three
     * @param  string|null  $picture  name of a kept picture: a gradient, a pattern, anything that colors cannot say
     *
     * @throws InvalidArgumentException for a color of another form, or a fourth
     */
    public function __construct(
        public array $colors = [],
        public ?string $label = null,
        public ?string $help = null,
        public ?string $picture = null,
    ) {
        if ($picture !== null && preg_match('/^[a-f0-9]{32}\.webp$/D', $picture) !== 1) {
            throw new InvalidArgumentException("\"{$picture}\" is not the name of a kept picture.");
        }
        if (count($colors) > 3) {
            throw new InvalidArgumentException('A look has at most three colors.');
        }
        foreach ($colors as $color) {
            if (preg_match('/^#[0-9a-f]{6}$/D', $color) !== 1) {
                throw new InvalidArgumentException("\"{$color}\" is not a color of the form #rrggbb.");
            }
        }
    }

    /**
     * A look as it is kept; parts that are no sound look are left out.
     *
     * @param  string|null  $json  null: a bare look
     */
    public static function fromJson(?string $json): self
    {
        $data = $json === null || $json === '' ? [] : json_decode($json, true);
        if (! is_array($data)) {
            return new self();
        }
        $colors = [];
        foreach ((array) ($data['colors'] ?? []) as $color) {
            if (is_string($color)) {
                $colors[] = $color;
            }
        }

        return new self(
            $colors,
            self::text($data['label'] ?? null),
            self::text($data['help'] ?? null),
            self::text($data['picture'] ?? null),
        );
    }

    /** As it is kept: the parts that are there, in small letters; null for a bare one. */
    public function toJson(): ?string
    {
        return $this->isBare()
            ? null
            : (string) json_encode(
                array_filter(
                    [
                        'colors' => $this->colors,
                        'label' => $this->label,
                        'help' => $this->help,
                        'picture' => $this->picture,
                    ],
                    fn (mixed $part): bool => $part !== [] && $part !== null,
                ),
                JSON_UNESCAPED_UNICODE,
            );
    }

    /** This one where another is worn over it: what the other says comes first, colors of its own hide a picture below. */
    public function under(?self $over): self
    {
        return $over === null
            ? $this
            : new self(
                $over->colors ?: $this->colors,
                $over->label ?? $this->label,
                $over->help ?? $this->help,
                $over->picture ?? ($over->colors === [] ? $this->picture : null),
            );
    }

    public function isBare(): bool
    {
        return $this->isUndressed() && $this->label === null && $this->help === null;
    }

    /** Whether there is nothing to be seen of it but its name. */
    public function isUndressed(): bool
    {
        return $this->colors === [] && $this->picture === null;
    }

    private static function text(mixed $value): ?string
    {
        return is_string($value) && $value !== '' ? $value : null;
    }
}
