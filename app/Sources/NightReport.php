<?php

declare(strict_types=1);

namespace App\Sources;

use App\Models\Item;
use App\Models\Origin;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\Run;
use App\Models\RunState;
use App\Settings\Shop;
use App\Support\Format;
use DateTimeInterface;
use Illuminate\Database\Eloquent\Collection;

/** What happened by itself since a time: by feed what came, what landed, what is held and why, and what was published. */
final readonly class NightReport
{
    private const MOST = 500;

    /**
     * @param  list<Run>  $runs  those that did something, the newest first
     * @param  int  $quiet  runs in which nothing new had come
     * @param  Collection<int, Reading>  $held  deliveries that wait for somebody, whenever they came
     * @param  int  $gone  products that went out of the shop, since no feed sends them any more
     */
    private function __construct(
        public DateTimeInterface $since,
        public array $runs,
        public int $quiet,
        public Collection $held,
        public int $gone,
    ) {
    }

    public static function since(DateTimeInterface $since): self
    {
        $runs = Run::query()->with('feed', 'reading')->where('started_at', '>=', $since)->latest('id');

        return new self(
            $since,
            array_values((clone $runs)->whereNot('state', RunState::Nothing)->limit(self::MOST)->get()->all()),
            (clone $runs)->where('state', RunState::Nothing)->count(),
            self::held(),
            Item::query()
                ->whereNull('parent_id')
                ->where('out_by', '>', Origin::HAND)
                ->where('out_since', '>=', $since->format('Y-m-d H:i:s'))
                ->count(),
        );
    }

    /** @return Collection<int, Reading> */
    private static function held(): Collection
    {
        return Reading::query()
            ->with('feed')
            ->whereIn('state', [ReadingState::Checked, ReadingState::Failed])
            ->whereNotNull('held')
            ->latest('id')
            ->limit(50)
            ->get();
    }

    public function isEmpty(): bool
    {
        return $this->runs === [] && $this->quiet === 0 && $this->held->isEmpty();
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'since' => $this->since->format(DATE_ATOM),
            'runs' => array_map(fn (Run $run): array => $run->document(), $this->runs),
            'nothing_new' => $this->quiet,
            'held' => array_values(
                $this->held
                    ->map(fn (Reading $one): array => [
                        'feed' => $one->feed->name,
                        'file' => $one->file_name,
                        'reasons' => $one->held,
                    ])
                    ->all(),
            ),
            'gone' => $this->gone,
        ];
    }

    /** @return list<string> for people */
    public function lines(): array
    {
        $zone = Shop::current()->timezone;
        $lines = array_map(
            fn (Run $run): string => $run->started_at->copy()->setTimezone($zone)->format('H:i ').
                ($run->feed->name ?? 'Publishing').": {$run->said}",
            array_reverse($this->runs),
        );
        if ($this->quiet > 0) {
            $lines[] = Format::count($this->quiet, 'time').' nothing new had come.';
        }
        if ($this->gone > 0) {
            $lines[] = Format::count($this->gone, 'product').' went out of the shop, since no feed sends them any more.';
        }
        foreach ($this->held as $one) {
            $lines[] = "{$one->feed->name} waits: {$one->file_name}: ".implode('; ', $one->held ?? []).'.';
        }

        return $lines === [] ? ['Nothing has run by itself.'] : $lines;
    }
}
