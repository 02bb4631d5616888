<?php

declare(strict_types=1);

namespace App\Values;

use App\History\Journal;
use App\Models\Definition;
use App\Models\Umbrella;
use App\Models\Value;
use Illuminate\Database\UniqueConstraintViolationException;
use Lokum\Text\Label;
use Lokum\Text\Slug;
use Lokum\Text\StrictKey;

/**
 * The one maker of an attribute's values, for one text or for many: it says what a value is called, its address, what it wears and
 * which umbrella it comes under.
 */
final class ValueMaker
{
    /** @var array<string, true>|null addresses of the attribute's terms */
    private ?array $taken = null;

    /** @var array<string, int> umbrellas by their letters: shoppers would read a name twice if its value stood beside it */
    private array $umbrellas = [];

    private ?bool $wearsColors = null;

    /**
     * @param  Journal|null  $journal  null where what is made belongs to no act, as in a reading
     * @param  int|null  $reading  that brings them
     */
    public function __construct(
        private readonly Definition $definition,
        private readonly ?Journal $journal,
        private readonly ?int $reading = null,
    ) {
    }

    /**
     * @param  int|null  $umbrella  that it goes under; the one of its name when left out
     * @param  bool  $held  whether shoppers wait for it
     * @param  string|null  $look  what it wears, as it is kept; where nobody says, what its name says
     * @param  string  $address  the word for it in addresses, where it is free; else, and where none is given, its name
     * @return int the new value
     *
     * @throws UniqueConstraintViolationException where somebody else has made one of the same address since
     */
    public function make(string $text, ?int $umbrella = null, bool $held = false, ?string $look = null, string $address = ''): int
    {
        $this->look();
        $label = Label::of($text);
        $wanted = $address === '' ? '' : Slug::of($address);
        $slug = $wanted !== '' && ! isset($this->taken[$wanted])
            ? $wanted
            : Slug::unique($label, fn (string $slug): bool => isset($this->taken[$slug]));
        $this->taken[$slug] = true;
        $row = [
            'definition_id' => $this->definition->id,
            'label' => $label,
            'slug' => $slug,
            'look' => $look ?? ($this->wearsColors ? FirstLook::fromName($label) : null),
            'held' => (int) $held,
            'umbrella_id' => $umbrella ?? $this->umbrellas[StrictKey::of($label)] ?? null,
        ];
        if ($this->journal !== null) {
            return $this->journal->insert(Value::class, $row);
        }

        return Value::query()->create($row + ['reading_id' => $this->reading])->id;
    }

    private function look(): void
    {
        if ($this->taken !== null) {
            return;
        }
        $umbrellas = Umbrella::query()->where('definition_id', $this->definition->id)->get();
        $this->umbrellas = $umbrellas
            ->mapWithKeys(fn (Umbrella $one): array => [StrictKey::of($one->label) => $one->id])
            ->all();
        $this->taken = TermNames::taken($this->definition);
        $this->wearsColors = FirstLook::wearsColors($this->definition);
    }
}
