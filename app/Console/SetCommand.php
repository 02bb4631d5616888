<?php

declare(strict_types=1);

namespace App\Console;

use App\Cells\CellChange;
use App\Cells\CellMode;
use App\Cells\ChangeCells;
use App\Cells\Chosen;
use App\Cells\Narrowing;
use Symfony\Component\Console\Exception\InvalidOptionException;

final class SetCommand extends Command
{
    protected $signature = 'set {attribute : slug of the definition}
        {value? : a label, number or text; several parted by the definition\'s separator}
        {--where=* : which products, such as category:paint, missing:volume, color:sap-green, price:5..20; all when left out}
        {--add : adds the value to those there} {--remove : takes the value away} {--clear : takes every value away}
        {--empty : only where there is none yet} {--spare-hand : leaves what was set by hand}
        {--check : says what it would do, and writes nothing}
        {--json : answer with one JSON document}';

    protected $description = 'Gives products a value by hand, in one step that can be taken back';

    public function handle(ChangeCells $change): int
    {
        $modes = array_keys(
            array_filter(['add' => $this->option('add'), 'remove' => $this->option('remove'), 'clear' => $this->option('clear')]),
        );
        if (count($modes) > 1) {
            throw new InvalidOptionException('Choose one of --add, --remove and --clear.');
        }
        $mode = CellMode::from($modes[0] ?? CellMode::Set->value);
        if (($this->argument('value') === null) !== ($mode === CellMode::Clear)) {
            throw new InvalidOptionException(
                $mode === CellMode::Clear ? '--clear takes no value.' : 'Say which value, or --clear.',
            );
        }
        $definition = $this->definition();
        $wanted = CellChange::set(
            $definition,
            CellChange::parts($definition, $this->text('value')),
            $mode,
            (bool) $this->option('empty'),
            (bool) $this->option('spare-hand'),
        );
        $chosen = Chosen::all(Narrowing::where($this->lines()));
        $figures = $change->consequences($chosen, $wanted);
        $done = $this->option('check') ? null : $change($chosen, $wanted);

        return $this->answer($figures->toArray() + ['change' => $done?->id], [
            $done->summary ??
            ($this->option('check')
                ? 'Would change '.number_format($figures->change).' products or variants'
                : 'Nothing was different'),
            number_format($figures->have).
            ' stay as they are, '.
            number_format($figures->replaced).
            ' lose another value, '.
            number_format($figures->byHand).
            ' of them set by hand',
        ]);
    }

    /** @return list<string> */
    private function lines(): array
    {
        foreach ((array) $this->option('where') as $line) {
            if (! str_contains((string) $line, ':')) {
                throw new InvalidOptionException("--where takes NAME:VALUE, not \"{$line}\".");
            }
        }

        return array_values(array_map(strval(...), (array) $this->option('where')));
    }
}
