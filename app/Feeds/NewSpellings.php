<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Definition;
use App\Models\Spelling;
use App\Models\Value;
use App\Values\FindValue;
use App\Values\FlagValues;
use App\Values\SpellingReading;
use App\Values\ValueMaker;
use Lokum\Feed\TextFate;
use Lokum\Text\Label;
use Lokum\Vocabulary\Kind;

/** Brings a definition's newcomers in: spellings, and the values that arise from them. */
final class NewSpellings
{
    private const CHUNK = 500;

    /** @var array<string, int> values made or met in this run, by key */
    private array $made = [];

    /** @var array<string, int> how well the values made in this run are labelled so far, by key */
    private array $formed = [];

    private readonly ValueMaker $maker;

    /** Whether what comes is new beside something, and waits for somebody to look at it; the first data of an attribute does not. */
    private readonly bool $waits;

    public function __construct(private readonly Definition $definition, private readonly ?int $reading)
    {
        $this->waits =
            $definition->kind === Kind::Choice && Spelling::table()->where('definition_id', $definition->id)->exists();
        $this->maker = new ValueMaker($definition, null, $reading);
    }

    public function fromStaging(Staging $staging, int $column): void
    {
        $flags = FlagValues::of($this->definition);
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
                            $this->value((string) $text['key'], (string) $text['text'], $text['fate'] === TextFate::Held->value),
                        Kind::Flag => $text['problem'] === null
                            ? $flags[SpellingReading::of(Kind::Flag, null, (string) $text['text'])->flag ? 'yes' : 'no']
                            : null,
                        default => null,
                    },
                    'number' => $text['number'],
                    'problem' => $text['problem'],
                    'settled' => ! $this->waits,
                ];
            }
            Spelling::table()->insertOrIgnore($rows);
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
                Value::query()
                    ->whereKey($this->made["\0".$key])
                    ->toBase()
                    ->update(['label' => $label]);
                $this->formed["\0".$key] = Label::form($label);
            }

            return $this->made["\0".$key];
        }
        $known = FindValue::byKeys($this->definition, [$key])[$key] ?? null;
        if ($known !== null) {
            return $this->made["\0".$key] = $known;
        }
        $this->formed["\0".$key] = Label::form($label);

        return $this->made["\0".$key] = $this->maker->make($text, held: $held);
    }
}
