<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Feed;
use App\Models\Run;
use App\Models\RunState;
use App\Sources\RunDue;
use App\Support\Refused;

final class FeedRunCommand extends Command
{
    protected $signature = 'feed:run {feed? : name of a feed, which is looked at whatever its times say}
        {--due : all feeds whose time has come, and a publication behind them where that was said}
        {--json : answer with one JSON document}';

    protected $description = 'Looks at feeds\' sources, and reads what is new within their bounds';

    public function handle(RunDue $run): int
    {
        $name = $this->text('feed');
        if ($name === '' && ! $this->option('due')) {
            throw new Refused('Name a feed, or say --due for all whose time has come.');
        }
        $runs = $name === ''
            ? $run()
            : $run->feed(Feed::query()->where('name', $name)->first() ?? throw Refused::unknown('feed', $name));
        $this->answer(
            ['runs' => array_map(fn (Run $one): array => $one->document(), $runs)],
            $runs === []
                ? ['No feed\'s time has come.']
                : array_map(fn (Run $one): string => ($one->feed->name ?? 'Publishing').": {$one->said}", $runs),
        );

        // What failed is a failure; what is held was judged as it should be.
        return in_array(RunState::Failed, array_column($runs, 'state'), true) ? self::FAILURE : self::SUCCESS;
    }
}
