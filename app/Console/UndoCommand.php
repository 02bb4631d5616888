<?php

declare(strict_types=1);

namespace App\Console;

use App\History\TakeBack;
use App\Support\Refused;

final class UndoCommand extends Command
{
    protected $signature = 'undo {--json : answer with one JSON document}';

    protected $description = 'Takes back the newest change that can be';

    public function handle(TakeBack $takeBack): int
    {
        $change = $takeBack->newest() ?? throw new Refused('There is nothing that can be taken back.');
        $done = $takeBack($change);

        return $this->answer(
            [
                'took_back' => [
                    'change' => $change->id,
                    'summary' => $change->summary,
                    'room' => $change->room->value,
                    'at' => $change->created_at->toIso8601String(),
                ],
                'change' => $done->id,
            ],
            ['Took back: '.$change->summary],
        );
    }
}
