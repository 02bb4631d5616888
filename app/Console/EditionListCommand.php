<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Served;
use App\Models\Edition;

final class EditionListCommand extends Command
{
    protected $signature = 'edition:list {--json : answer with one JSON document}';

    protected $description = 'The editions, the newest first, and which of them can be served again';

    public function handle(): int
    {
        $served = Served::now()->edition?->id;
        $editions = Edition::query()->orderByDesc('id')->limit(100)->get();

        return $this->answer(
            [
                'editions' => array_values($editions->map(fn (Edition $one): array => [
                    'edition' => $one->id,
                    'served' => $one->id === $served,
                    'kept' => $one->isKept(),
                    'products' => $one->products,
                    'terms' => $one->terms,
                    'published_at' => $one->created_at->toIso8601String(),
                ])->all()),
            ],
            $editions->isEmpty()
                ? ['There is no edition yet.']
                : $editions->map(
                    fn (Edition $one): string => "{$one->id}  {$one->created_at->format('Y-m-d H:i')}  ".
                        number_format($one->products).' products'.
                        ($one->id === $served ? ', served' : ($one->isKept() ? '' : ', its file is gone')),
                )->all(),
        );
    }
}
