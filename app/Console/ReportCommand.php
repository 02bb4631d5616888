<?php

declare(strict_types=1);

namespace App\Console;

use App\Sources\NightReport;
use App\Support\Refused;
use Illuminate\Support\Carbon;
use InvalidArgumentException;

final class ReportCommand extends Command
{
    protected $signature = 'report {--since=1 day ago : a date, a time, or such as "12 hours ago"}
        {--json : answer with one JSON document}';

    protected $description = 'What happened by itself: what came, what was read, what is held and why, what was published';

    public function handle(): int
    {
        try {
            $since = Carbon::parse($this->textOption('since'));
        } catch (InvalidArgumentException) {
            throw new Refused('--since is a date, a time, or such as "12 hours ago".');
        }
        $report = NightReport::since($since);

        return $this->answer($report->toArray(), $report->lines());
    }
}
