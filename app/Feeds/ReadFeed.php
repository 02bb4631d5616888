<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Fill\RunRules;
use App\History\Ledger;
use App\Models\Feed;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\Room;
use App\Support\Refused;
use Closure;
use Illuminate\Support\Facades\DB;
use Lokum\Feed\BadMap;
use Lokum\Feed\ColumnMap;
use Lokum\Feed\Formats\Formats;
use Lokum\Feed\RowReader;
use Lokum\Feed\SupplierFile;
use Lokum\Feed\UnreadableFile;

/**
 * Reads a supplier's file into the catalog, or says what that would do. Both go the same way up to the last step, so a check's
 * figures are those of the reading. The catalog is locked for that last step only.
 */
final readonly class ReadFeed
{
    public function __construct(private Ledger $ledger, private RunRules $rules, private FinishReading $finish)
    {
    }

    /**
     * @param  resource  $source  open for reading and seeking
     * @param  string  $name  of the feed; it is made when it is new
     * @param  Closure(string, int, float): void  $progress  what is being done, rows so far, share of it from 0 to 1
     *
     * @throws Refused for a file or a map that cannot be used, or refused rows where $takesGoodRows is false
     */
    public function __invoke(
        $source,
        string $name,
        ColumnMap $map,
        bool $check,
        Closure $progress,
        bool $takesGoodRows = true,
        ?Reading $reading = null,
    ): ReadingFigures {
        try {
            $feed = Feed::query()->where('name', $name)->first();
            $file = Formats::open($source, $feed?->archivePattern());
            $map = $map->alsoEmpty(...$feed->empty ?? []);
            $targets = (new ResolveColumns())($file, $feed, $map);
            $reader = new RowReader($file->headings(), array_column($targets, 'target'), $map->empty);
        } catch (UnreadableFile|BadMap $why) {
            throw new Refused($why->getMessage());
        }
        $staging = new Staging();
        try {
            return $this->read(
                $file,
                $reader,
                $staging,
                $targets,
                $feed,
                $name,
                $map,
                $check,
                $progress,
                $takesGoodRows,
                $reading,
            );
        } finally {
            $staging->drop();
        }
    }

    /** @param  list<TargetColumn>  $targets */
    private function read(
        SupplierFile $file,
        RowReader $reader,
        Staging $staging,
        array $targets,
        ?Feed $feed,
        string $name,
        ColumnMap $map,
        bool $check,
        Closure $progress,
        bool $takesGoodRows,
        ?Reading $reading,
    ): ReadingFigures {
        $signature = hash(
            'xxh3',
            serialize([
                $name,
                array_map(fn (TargetColumn $target): array => [$target->heading, $target->target], $targets),
                $map->empty,
                ...$feed->leaves ?? [],
            ]),
        );
        $stage = new StageRows($staging, $targets, $signature);
        $rows = 0;
        $figures = null;
        $staging->transaction(function () use ($staging, $stage, $file, $reader, $targets, $feed, $progress, &$rows, &$figures): void {
            $rows = $stage($file, $reader, fn (int $rows, float $share) => $progress('Looking at rows', $rows, $share));
            $progress('Comparing with the catalog', $rows, 0.0);
            $this->judge($staging, $targets, $feed);
            $figures = ReadingFigures::of($staging, $rows, ...$targets);
        });
        assert($figures instanceof ReadingFigures);
        if ($check) {
            return $figures;
        }
        if ($figures->refused !== [] && ! $takesGoodRows) {
            throw new Refused(
                count($figures->refused).
                    ' rows cannot be taken. Nothing was written. Say that the good rows may be read, or mend the file.',
            );
        }
        $progress('Writing', $rows, 0.0);
        DB::transaction(function () use ($staging, $stage, $feed, $name, $map, $targets, $reading, $figures): void {
            $feed ??= Feed::query()->create(['name' => $name]);
            $feed->update(['empty' => $map->empty]);
            $change = $this->ledger->note(
                Room::Feeds,
                $this->sentence($feed->name, $figures),
                ['reading' => $reading?->id] + $figures->toKeep(0),
                hasWayBack: true,
            );
            (new ApplyStaged($staging, $feed, $targets, $stage->paths(), $reading?->id, $change->id))();
            $reading?->update([
                'state' => ReadingState::Done,
                'figures' => $figures->toKeep(),
                'finished_at' => now(),
                'message' => null,
                'rules_wait' => true,
            ]);
        });
        $progress('Running fill rules', $rows, 0.9);
        if ($reading === null) {
            ($this->rules)();
        } else {
            ($this->finish)($reading);
        }
        $progress('Done', $rows, 1.0);

        return $figures;
    }

    /** @param  list<TargetColumn>  $targets */
    private function judge(Staging $staging, array $targets, ?Feed $feed): void
    {
        $judge = new JudgeRows($staging, $targets);
        $texts = new JudgeTexts($staging);
        foreach ($targets as $target) {
            $column = $target->column();
            if ($column !== null) {
                $staging->run('INSERT INTO temp.staged_columns (col, definition_id, level) VALUES (?, ?, ?)', [
                    $target->index,
                    $target->definition->id ?? -$target->index - 1,
                    $column->level->value,
                ]);
                $texts($target, $column);
            }
        }
        (new LeaveToOthers($staging, $targets))($feed);
        $judge->refuseRepeated();
        $judge->dropCellsOfOtherLevel();
        $judge->refuseNewcomers();
        $judge->refuseStranded();
        $judge->dropCellsOfOtherLevel();
        $judge->markChanges();
        (new JudgeGone($staging))($feed);
    }

    private function sentence(string $feed, ReadingFigures $figures): string
    {
        $new = $figures->products['added'] + $figures->variants['added'];
        $changed = $figures->products['changed'] + $figures->variants['changed'];

        return "Read {$feed}: ".
            number_format($figures->rows).
            ' rows, '.
            number_format($new).
            ' new and '.
            number_format($changed).
            ' changed products and variants'.
            ($figures->refused === [] ? '' : ', '.number_format(count($figures->refused)).' rows refused');
    }
}
