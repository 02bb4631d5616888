<?php

declare(strict_types=1);

namespace App\Console;

use App\Feeds\DeliveryRead;
use App\Feeds\FeedFile;
use App\Feeds\FeedName;
use App\Feeds\ReadFeed;
use App\Feeds\ReadingFigures;
use App\Feeds\ReadingLock;
use App\Feeds\StartReading;
use App\Support\Refused;
use Lokum\Feed\BadMap;
use Lokum\Feed\ColumnMap;
use Lokum\Feed\UnreadableFile;
use Throwable;

final class FeedReadCommand extends Command
{
    protected $signature = 'feed:read {file : CSV, XLSX, ODS, JSON or XML, packed or not}
        {--feed= : name of the feed; the file\'s name when left out}
        {--map= : a JSON file that says what the columns mean}
        {--check : say what the reading would do, and write nothing}
        {--whole : refuse the file when any of its rows is refused}
        {--json : answer with one JSON document}';

    protected $description = 'Reads a supplier\'s file into the catalog';

    public function handle(ReadFeed $read): int
    {
        $path = $this->text('file');
        try {
            $file = FeedFile::open($path);
            $map = $this->map();
        } catch (UnreadableFile|BadMap $why) {
            throw new Refused($why->getMessage());
        }
        $name = $this->option('feed') === null ? FeedName::from(basename($path)) : $this->textOption('feed');
        $reading = $this->option('check') ? null : StartReading::atOnce($path, $name);
        $lock = $reading === null ? null : ReadingLock::hold($reading);
        try {
            $figures = $read(
                $file,
                $name,
                $map,
                (bool) $this->option('check'),
                $this->progress(...),
                ! $this->option('whole'),
                $reading,
            );
        } catch (Throwable $why) {
            if ($reading !== null) {
                StartReading::abandon($reading);
            }
            throw $why;
        } finally {
            $lock?->release();
        }

        if (! $this->option('check')) {
            event(new DeliveryRead());
        }

        return $this->answer($figures->toArray(), $this->lines($figures));
    }

    private function map(): ColumnMap
    {
        $path = $this->option('map');
        if (! is_string($path)) {
            return new ColumnMap();
        }

        return ColumnMap::fromJson((string) stream_get_contents(FeedFile::open($path)));
    }

    /** @return iterable<string> */
    private function lines(ReadingFigures $figures): iterable
    {
        yield number_format($figures->rows).' rows'.($this->option('check') ? ' (checked; nothing was written)' : '');
        foreach (['products' => $figures->products, 'variants' => $figures->variants] as $what => $counts) {
            yield sprintf('%s: %s new, %s changed, %s unchanged', $what, ...array_map(number_format(...), array_values($counts)));
        }
        yield sprintf(
            'values: %s new, %s waiting; %s spellings resolved by themselves',
            number_format($figures->values['added']),
            number_format($figures->values['held']),
            number_format($figures->values['resolved']),
        );
        foreach (['refused' => $figures->refused, 'kept as text' => $figures->unread] as $what => $rows) {
            foreach (array_slice($rows, 0, 50) as $row) {
                yield "{$what}: line {$row['line']}".($row['column'] === '' ? '' : ", {$row['column']}").": {$row['reason']}";
            }
            if (count($rows) > 50) {
                yield '… and '.number_format(count($rows) - 50)." more {$what}";
            }
        }
    }
}
