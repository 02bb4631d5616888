<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Definition;
use App\Models\Umbrella;
use App\Values\FirstLook;
use App\Values\SpellingReading;
use Illuminate\Support\Facades\DB;
use Lokum\Text\Label;
use Lokum\Text\Slug;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Kind;

/** Brings a definition's newcomers in: spellings, and the values that arise from them. */
final class NewSpellings
{
    private const CHUNK = 500;

    /** @var array<string, int> values made or met in this run, by key */
    private array $made = [];

    /** @var array<string, int> how well the values made in this run are labelled so far, by key */
    private array $formed = [];

    /** @var array<string, true>|null addresses of the definition's terms */
    private ?array $slugs = null;

    /** @var array<string, int> umbrellas by their letters: a value that is called like one comes under it */
    private array $umbrellas = [];

    private readonly bool $colors;

    /** Whether what comes is new beside something, and waits for somebody to look at it; the first data of an attribute does not. */
    private readonly bool $waits;

    public function __construct(private readonly Definition $definition, private readonly ?int $reading)
    {
        $this->waits =
            $definition->kind === Kind::Choice && DB::table('spellings')->where('definition_id', $definition->id)->exists();
        $this->colors = $definition->kind === Kind::Choice && FirstLook::wearsColors($definition);
    }

    public function fromStaging(Staging $staging, int $column): void
    {
        $flags = $this->flagValues();
        $after = 0;
        do {
            $texts = iterator_to_array(
                $staging->rows(
                    'SELECT id, text, key, value_id, number, problem, fate FROM temp.staged_texts
                        WHERE col = ? AND spelling_id IS NULL AND id > ? ORDER BY id LIMIT '.
                        self::CHUNK,
                    [$column, $after],
                ),
                false,
            );
            $rows = [];
            foreach ($texts as $text) {
                $after = (int) $text['id'];
                $rows[] = [
                    'definition_id' => $this->definition->id,
                    'text' => $text['text'],
                    'key' => $text['key'],
                    'reading_id' => $this->reading,
                    'value_id' => match ($this->definition->kind) {
                        Kind::Choice => $text['value_id'] ??
                            $this->value((string) $text['key'], (string) $text['text'], $text['fate'] === 'held'),
                        Kind::Flag => $text['problem'] === null
                            ? $flags[(int) SpellingReading::of(Kind::Flag, null, (string) $text['text'])->flag]
                            : null,
                        default => null,
                    },
                    'number' => $text['number'],
                    'problem' => $text['problem'],
                    'settled' => ! $this->waits,
                ];
            }
            DB::table('spellings')->insertOrIgnore($rows);
        } while (count($texts) === self::CHUNK);
        $staging->run(
            'UPDATE temp.staged_texts SET spelling_id = (SELECT id FROM spellings
                WHERE definition_id = ? AND text = staged_texts.text) WHERE col = ? AND spelling_id IS NULL',
            [$this->definition->id, $column],
        );
    }

    private function value(string $key, string $text, bool $held): int
    {
        $label = Label::of($text);
        if (isset($this->made["\0".$key])) {
            // Of several spellings of the same letters the best-formed one gives the label.
            if (Label::form($label) > ($this->formed["\0".$key] ?? PHP_INT_MAX)) {
                DB::table('attribute_values')
                    ->where('id', $this->made["\0".$key])
                    ->update(['label' => $label]);
                $this->formed["\0".$key] = Label::form($label);
            }

            return $this->made["\0".$key];
        }
        $known = DB::table('spellings')
            ->where('definition_id', $this->definition->id)
            ->where('key', $key)
            ->whereNotNull('value_id')
            ->value('value_id');
        if ($known !== null) {
            return $this->made["\0".$key] = (int) $known;
        }
        if ($this->slugs === null) {
            $umbrellas = Umbrella::query()->where('definition_id', $this->definition->id)->get();
            $this->umbrellas = $umbrellas
                ->mapWithKeys(fn (Umbrella $one): array => [StrictKey::of($one->label) => $one->id])
                ->all();
            $this->slugs = array_fill_keys(
                [
                    ...DB::table('attribute_values')->where('definition_id', $this->definition->id)->pluck('slug')->all(),
                    ...$umbrellas->pluck('slug')->all(),
                ],
                true,
            );
        }
        $this->formed["\0".$key] = Label::form($label);
        $slug = Slug::unique($label, fn (string $slug): bool => isset($this->slugs[$slug]));
        $this->slugs[$slug] = true;

        return $this->made["\0".$key] = (int) DB::table('attribute_values')->insertGetId([
            'definition_id' => $this->definition->id,
            'label' => $label,
            'slug' => $slug,
            'held' => $held,
            'umbrella_id' => $this->umbrellas[$key] ?? null,
            'reading_id' => $this->reading,
            'look' => $this->colors ? FirstLook::fromName($label) : null,
            'created_at' => now(),
            'updated_at' => now(),
        ]);
    }

    /** @return array<int, int> the values No (0) and Yes (1) */
    private function flagValues(): array
    {
        if ($this->definition->kind !== Kind::Flag) {
            return [];
        }
        $values = DB::table('attribute_values')->where('definition_id', $this->definition->id)->pluck('id', 'slug');

        return [0 => (int) $values['no'], 1 => (int) $values['yes']];
    }
}
