<?php

declare(strict_types=1);

namespace App\Fill;

use App\Catalog\CategoryTree;
use App\Models\Change;
use App\Models\Definition;
use App\Models\FillRule;
use App\Support\Ids;
use App\Support\Refused;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Lokum\Vocabulary\Kind;

final class RulesController
{
    public function index(Request $request, ProposeRules $propose, RunRules $run): View
    {
        $states = RuleState::all();
        $shown = $states[$request->integer('rule')] ?? null;
        $open = $shown?->rule;
        $form = $open !== null || $request->has('source') || $request->has('definition') || $request->boolean('new');
        $input = $request->has('source') ? $request->all() : ($open === null ? $request->all() : RuleText::of($open));

        return view(
            'rules.index',
            new RulesPage(
                ...$this->dryRun($form ? $input : null, $open, $run),
                states: $states,
                filled: $shown->filled ?? 0,
                open: $open,
                form: $form,
                input: $input,
                proposals: $propose(),
                definitions: Definition::query()->accepted()->orderBy('label')->get(),
                categories: CategoryTree::load()->flat(),
                numbers: Definition::query()->accepted()->where('kind', Kind::Number)->orderBy('label')->get(),
            ),
        );
    }

    public function store(Request $request, EditRules $edit): RedirectResponse
    {
        $change = $edit->add(RuleForm::from($request->all()));

        return redirect()
            ->route('rules', ['rule' => FillRule::query()->max('id')])
            ->with('done', $change->summary)
            ->with('undo', $change->id);
    }

    public function update(Request $request, FillRule $rule, EditRules $edit): RedirectResponse
    {
        return $this->back($edit->save($rule, RuleForm::from($request->all()), $request->integer('version')), $rule);
    }

    public function pause(Request $request, FillRule $rule, EditRules $edit): RedirectResponse
    {
        return $this->back($edit->pause($rule, $request->boolean('paused')), $rule);
    }

    public function destroy(FillRule $rule, EditRules $edit): RedirectResponse
    {
        return $this->back($edit->remove($rule), null);
    }

    public function order(Request $request, EditRules $edit): RedirectResponse
    {
        return $this->back($edit->order(Ids::in($request, 'ids')), null);
    }

    public function run(RunRules $run): RedirectResponse
    {
        return $this->back($run()[0], null);
    }

    private function back(?Change $change, ?FillRule $rule): RedirectResponse
    {
        return redirect()
            ->route('rules', $rule === null ? [] : ['rule' => $rule->id])
            ->with('done', $change->summary ?? 'Nothing was different.')
            ->with('undo', $change?->id);
    }

    /**
     * @param  array<string, mixed>|null  $input
     * @return array{figures: FillFigures|null, problem: string|null}
     */
    private function dryRun(?array $input, ?FillRule $open, RunRules $run): array
    {
        if ($input === null || ($input['source'] ?? '') === '' || ($input['definition'] ?? '') === '') {
            return ['figures' => null, 'problem' => null];
        }
        try {
            return ['figures' => $run->consequences(EditRules::draft(RuleForm::from($input), $open)), 'problem' => null];
        } catch (Refused $why) {
            return ['figures' => null, 'problem' => $why->getMessage()];
        }
    }
}
