<?php

declare(strict_types=1);

namespace App\Definitions;

use App\Models\Role;
use App\Support\Refused;
use App\Values\FirstLook;
use Lokum\Feed\Column;
use Lokum\Quantity\Unit;
use Lokum\Text\Label;
use Lokum\Text\Slug;
use Lokum\Vocabulary\DayOrder;
use Lokum\Vocabulary\Kind;
use Lokum\Vocabulary\Level;
use Lokum\Vocabulary\Policy;
use Lokum\Vocabulary\TermOrder;

/** What a person says a definition should be. */
final readonly class DefinitionForm
{
    /**
     * @param  non-empty-string  $separator
     * @param  string|null  $slug  null: made from the label
     */
    private function __construct(
        public string $label,
        public Kind $kind,
        public Level $level,
        public bool $multiple,
        public string $separator,
        public ?string $unit,
        public Policy $policy,
        public ?string $help,
        public ?string $slug = null,
        public ?string $teamHelp = null,
        public ?string $section = null,
        public Role $editedBy = Role::Editor,
        public bool $hasPages = false,
        public ?string $dress = null,
        public ?TermOrder $termOrder = null,
        public ?DayOrder $dayOrder = null,
        public ?int $decimals = null,
    ) {
    }

    /**
     * @param  array<string, mixed>  $input
     *
     * @throws Refused naming the field
     */
    public static function from(array $input): self
    {
        $text = fn (string $key): string => is_scalar($input[$key] ?? null) ? Label::of((string) $input[$key]) : '';
        $kind =
            Kind::tryFrom($text('kind')) ?? throw new Refused('The kind is one of choice, flag, number, text and date.', 'kind');
        $level = Level::tryFrom($text('level') ?: 'variant') ?? throw new Refused('The level is product or variant.', 'level');
        $label = $text('label');
        if ($label === '' || mb_strlen($label) > 200) {
            throw new Refused('A definition needs a label of 1 to 200 characters.', 'label');
        }
        $unit = $text('unit');
        if ($unit !== '' && $kind !== Kind::Number) {
            throw new Refused('Only a number has a unit.', 'unit');
        }
        $separator = (string) ($input['separator'] ?? '|');

        return new self(
            $label,
            $kind,
            $level,
            (bool) ($input['multiple'] ?? false) && $kind === Kind::Choice,
            $separator === '' ? '|' : $separator,
            $unit === '' ? null : Unit::find($unit)->symbol ?? $unit,
            Policy::tryFrom($text('policy')) ?? Policy::Follow,
            $text('help') ?: null,
            $text('slug') === '' ? null : Slug::of($text('slug')),
            $text('team_help') ?: null,
            mb_strimwidth($text('section'), 0, 100) ?: null,
            $text('edited_by') === Role::Manager->value ? Role::Manager : Role::Editor,
            (bool) ($input['has_pages'] ?? false) && $kind === Kind::Choice,
            in_array($text('dress'), [FirstLook::COLORS, FirstLook::LETTERS], true) ? $text('dress') : null,
            TermOrder::tryFrom($text('term_order')),
            $kind === Kind::Date ? DayOrder::tryFrom($text('day_order')) : null,
            $kind === Kind::Number ? self::decimals($text('decimals')) : null,
        );
    }

    private static function decimals(string $typed): ?int
    {
        return match (true) {
            $typed === '' => null,
            preg_match('/^[0-6]$/D', $typed) === 1 => (int) $typed,
            default => throw new Refused('Numbers are shown with 0 to 6 decimals.', 'decimals'),
        };
    }

    /** @return array<string, mixed> what a definition says of itself, beside its column */
    public function about(): array
    {
        return [
            'policy' => $this->policy->value,
            'help' => $this->help,
            'team_help' => $this->teamHelp,
            'section' => $this->section,
            'edited_by' => $this->editedBy->value,
            'has_pages' => (int) $this->hasPages,
            'dress' => $this->dress,
            'decimals' => $this->decimals,
        ] + ($this->termOrder === null ? [] : ['term_order' => $this->termOrder->value]);
    }

    public function column(): Column
    {
        return new Column(
            $this->slug ?? Slug::of($this->label),
            $this->label,
            $this->kind,
            $this->multiple,
            $this->separator,
            $this->level,
            $this->unit,
            [],
            $this->dayOrder,
        );
    }
}
