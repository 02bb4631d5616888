<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Definition;
use App\Values\FindValue;
use App\Values\SpellingReading;
use Lokum\Feed\Column;
use Lokum\Feed\TextFate;
use Lokum\Text\StrictKey;
use Lokum\Vocabulary\Policy;

/**
 * Decides what each distinct text of the staged cells is: a spelling that is known, one that resolves by its key, a newcomer
 * that becomes a value, waits or is refused (C14), or for a field, what it is read as.
 */
final readonly class JudgeTexts
{
    private const CHUNK = 500;

    public function __construct(private Staging $staging)
    {
    }

    /** @param  TargetColumn  $target  a column of attribute data */
    public function __invoke(TargetColumn $target, Column $column): void
    {
        $definition = $target->definition;
        if ($definition !== null) {
            $this->staging->run(
                'UPDATE temp.staged_texts SET (spelling_id, value_id, problem, fate) = (
                SELECT s.id, s.value_id, s.problem, ? FROM spellings s
                WHERE s.definition_id = ? AND s.text = staged_texts.text) WHERE col = ?',
                [TextFate::Known->value, $definition->id, $target->index],
            );
        }
        $after = 0;
        do {
            $texts = iterator_to_array(
                $this->staging->rows(
                    'SELECT id, text FROM temp.staged_texts WHERE col = ? AND fate IS NULL AND id > ? ORDER BY id LIMIT '.
                        self::CHUNK,
                    [$target->index, $after],
                ),
                false,
            );
            $this->judge($texts, $column, $definition);
            $after = $texts === [] ? $after : (int) $texts[count($texts) - 1]['id'];
        } while (count($texts) === self::CHUNK);
    }

    /** @param  list<array<string, mixed>>  $texts */
    private function judge(array $texts, Column $column, ?Definition $definition): void
    {
        $keys = array_map(fn (array $text): string => StrictKey::of((string) $text['text']), $texts);
        $known = $definition === null || ! $column->kind->isAttribute() ? [] : FindValue::byKeys($definition, $keys);
        $policy = $definition->policy ?? Policy::Follow;
        foreach ($texts as $i => $text) {
            $reading = SpellingReading::of($column->kind, $column->unit, (string) $text['text'], $column->dayOrder);
            $value = $known[$keys[$i]] ?? null;
            $fate = TextFate::of($column->kind, $value !== null, $policy);
            $this->staging->run(
                'UPDATE temp.staged_texts SET key = ?, value_id = ?, number = ?, problem = ?, fate = ? WHERE id = ?',
                [$keys[$i], $value, $reading->number, $reading->problem, $fate->value, $text['id']],
            );
        }
    }
}
