<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\FileLock;
use App\Draft\DraftTerms;
use App\Editions\Served;
use App\Models\Edition;
use App\Models\Item;
use App\Support\Refused;
use Closure;
use Illuminate\Support\Facades\DB;
use Lokum\Edition\Summary;
use Throwable;

/**
 * Makes a new edition and serves it. The file is written aside from one snapshot of the catalog, while people go on working;
 * the switch is a single row. Killed at any moment, the old edition is served and a half-written file is left to be cleared.
 */
final readonly class Publish
{
    public function __construct(private DraftSummary $summary, private DraftTerms $terms, private EnterEdition $enter)
    {
    }

    /**
     * @param  Closure(string, float): void  $progress  what is being done, and the share of it from 0 to 1
     * @param  bool  $afresh  whether all of it is written anew, also what nothing has touched since the edition before
     *
     * @throws Refused when there is nothing to publish, or another publication is under way
     */
    public function __invoke(Closure $progress, bool $afresh = false): Edition
    {
        $lock =
            FileLock::tryHold(self::lock()) ??
            throw new Refused('Another edition is being made right now. Wait until it is served.');
        try {
            return $this->publish($progress, $afresh);
        } finally {
            $lock->release();
        }
    }

    /** Whether an edition is being made right now. */
    public static function isUnderWay(): bool
    {
        return FileLock::isHeld(self::lock());
    }

    /** Held while an edition is made, so that there is one at a time. */
    public static function lock(): string
    {
        return Edition::directory().'/lock';
    }

    private function publish(Closure $progress, bool $afresh): Edition
    {
        $started = microtime(true);
        if (! Item::query()->exists()) {
            throw new Refused('There are no products to publish. Read a feed first.');
        }
        $name = EnterEdition::newName();
        try {
            [$number, $figures] = $this->write($name, $progress, $afresh);
        } catch (Throwable $failure) {
            // No half copies stay.
            array_map(fn (string $file) => @unlink(Edition::directory().'/'.$file), ["{$name}.part", $name]);
            throw $failure;
        }
        $edition = ($this->enter)(
            $number,
            $name,
            $figures,
            microtime(true) - $started,
            "Published edition {$number}: ".number_format($figures['products']).' products, '.number_format($figures['terms']).' terms',
        );
        $progress('Done', 1.0);

        return $edition;
    }

    /**
     * @param  Closure(string, float): void  $progress
     * @return array{0: int, 1: array<string, int>} its number and figures
     */
    private function write(string $name, Closure $progress, bool $afresh): array
    {
        $pdo = DB::connection()->getPdo();
        $writer = new EditionWriter(Edition::directory()."/{$name}.part", $pdo);
        // One read transaction: the edition shows the catalog of one moment.
        WriteBeside::beginToRead($pdo);
        $beside = null;
        try {
            $before = $afresh ? null : TakenOver::from(Served::now());
            if ($before === null && WriteBeside::pays()) {
                $pdo->exec('COMMIT');
                $beside = WriteBeside::together($pdo, $name);
            }
            $writer->begin($before?->path);
            $number = EnterEdition::nextNumber();
            $figures = (new BuildEdition($writer, $this->terms, $pdo, $before, $beside))(
                $number,
                fn (EditionCounts $counted): Summary => ($this->summary)($counted, $before),
                $progress,
            );
        } finally {
            $beside?->leave();
            Numbering::forget($pdo);
            // Of the catalog nothing was written; the edition's file has no journal to go back by, and is thrown away after a failure.
            $writer->letGo();
        }
        $writer->finish($name);

        return [$number, $figures];
    }
}
