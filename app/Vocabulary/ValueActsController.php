<?php

declare(strict_types=1);

namespace App\Vocabulary;

use App\Models\Change;
use App\Models\Definition;
use App\Models\Spelling;
use App\Models\Umbrella;
use App\Support\Ids;
use App\Values\FindValue;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What is done with the selection of the workbench, whichever lens it was made in. */
final class ValueActsController
{
    public function merge(Request $request, Definition $definition, MergeValues $merge): RedirectResponse
    {
        $change = $merge($definition, $merge->plan($definition, $request->integer('keep'), $this->picked($request)));

        return $this->back($request, $definition, $change, ['value' => $request->integer('keep')]);
    }

    /** Gathers values under an umbrella, or takes them out of it. */
    public function gather(Request $request, Definition $definition, GatherValues $gather): RedirectResponse
    {
        $change = $request->boolean('out')
            ? $gather->release($definition, $this->picked($request))
            : $gather($definition, $request->string('under')->toString(), $this->picked($request));

        return $this->back($request, $definition, $change);
    }

    public function umbrella(Request $request, Definition $definition, Umbrella $umbrella, GatherValues $gather): RedirectResponse
    {
        abort_unless($umbrella->definition_id === $definition->id, 404);
        $umbrella->setRelation('definition', $definition);

        return $this->back(
            $request,
            $definition,
            $gather->save(
                $umbrella,
                $request->string('label')->toString(),
                LookForm::read($request, $umbrella->look()),
                $request->integer('version'),
                Ids::in($request, 'add'),
                array_values(array_diff(Ids::in($request, 'listed'), Ids::in($request, 'stays'))),
            ),
            ['umbrella' => $umbrella->id],
        );
    }

    /** Takes a spelling out of its value. */
    public function spelling(Request $request, Definition $definition, Spelling $spelling, MoveSpelling $move): RedirectResponse
    {
        abort_unless($spelling->definition_id === $definition->id, 404);
        $to = $request->boolean('own') ? null : FindValue::named($definition, $request->string('to')->toString());
        $change = $move($definition, $spelling, $to);

        return $this->back($request, $definition, $change, ['value' => $spelling->refresh()->value_id]);
    }

    public function several(Request $request, Definition $definition, ChangeValues $change): RedirectResponse
    {
        return $this->back(
            $request,
            $definition,
            $change($definition, $request->string('do')->toString(), $this->picked($request)),
        );
    }

    public function apart(Request $request, Definition $definition, KeepApart $apart): RedirectResponse
    {
        return $this->back($request, $definition, $apart($definition, $this->picked($request)));
    }

    /** @return list<int> */
    private function picked(Request $request): array
    {
        return Ids::in($request, 'pick');
    }

    /** @param  array<string, mixed>  $more */
    private function back(Request $request, Definition $definition, ?Change $change, array $more = []): RedirectResponse
    {
        return redirect(Workbench::address($request, $definition, $more))
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }
}
