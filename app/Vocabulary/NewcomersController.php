<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Change;
use App\Models\Definition;
use App\Models\Reading;
use App\Support\CsvList;
use App\Support\Ids;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What came with newer data: decided on one by one, or many at once. */
final class NewcomersController
{
    public function show(Request $request, FindNewcomers $find, ?Definition $definition = null): View|RedirectResponse|StreamedResponse
    {
        if ($definition !== null && CsvList::isWanted($request)) {
            return self::asCsv($definition, $find->of($definition));
        }
        $waiting = $find->waiting();
        if ($definition === null && $waiting !== []) {
            return redirect()
                ->route('newcomers', $waiting[0]['definition'])
                ->with($request->session()->only(['done', 'undo']));
        }

        return view(
            'newcomers.show',
            new NewcomersPage(
                $definition,
                $waiting,
                $definition === null ? [] : $find->of($definition),
                $request->string('feed')->toString(),
                Reading::query()->whereNotNull('finished_at')->latest('id')->first(),
            ),
        );
    }

    /** @param  list<Newcomer>  $newcomers */
    private static function asCsv(Definition $definition, array $newcomers): StreamedResponse
    {
        return CsvList::of(
            "newcomers-{$definition->slug}",
            ['spelling', 'products', 'feed', 'value', 'looks like', 'because', 'under'],
            array_map(fn (Newcomer $one): array => [
                $one->text,
                $one->products,
                $one->feed,
                $one->value->label,
                $one->same?->label,
                $one->evidence,
                $one->under,
            ], $newcomers),
        );
    }

    public function store(
        Request $request,
        Definition $definition,
        SettleNewcomers $settle,
        FindNewcomers $find,
    ): RedirectResponse {
        $do = $request->string('do')->toString();
        if ($do === 'said') {
            /** @var array<int, string> $typed */
            $typed = array_filter((array) $request->input('is', []), fn (?string $text): bool => trim((string) $text) !== '');

            return $this->settled($request, $definition, $settle->said($definition, $typed));
        }
        [$word, $one] = [...explode(':', $do, 2), null];
        $waiting = $find->of($definition);
        $ids = match ($word) {
            'certain' => $this->where($waiting, fn (Newcomer $one): bool => $one->certain),
            'resolved' => $this->where($waiting, fn (Newcomer $one): bool => $one->resolved),
            default => $one === null ? Ids::in($request, 'pick') : [(int) $one],
        };
        $decision = match ($word) {
            'certain' => 'merge',
            'resolved', 'keep' => 'keep',
            'merge', 'gather', 'proposed' => $word,
            default => throw new Refused('Say what the newcomers are.'),
        };

        return $this->settled(
            $request,
            $definition,
            $settle($definition, array_fill_keys($ids, $decision), Ids::by($request, 'same')),
        );
    }

    private function settled(Request $request, Definition $definition, Change $change): RedirectResponse
    {
        return redirect()
            ->route('newcomers', [$definition, ...array_filter(['feed' => $request->string('feed')->toString()])])
            ->with('done', $change->summary)
            ->with('undo', $change->id);
    }

    /**
     * @param  list<Newcomer>  $waiting
     * @param  callable(Newcomer): bool  $which
     * @return list<int>
     */
    private function where(array $waiting, callable $which): array
    {
        return array_map(fn (Newcomer $one): int => $one->spelling, array_values(array_filter($waiting, $which)));
    }
}
