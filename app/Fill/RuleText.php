<?php

declare(strict_types=1);

namespace App\Fill;

use App\Models\FillRule;
use App\Models\FillSource;

/** A rule as its form shows it: lists with one entry a line, as RuleForm reads them. */
final class RuleText
{
    /** @return array<string, mixed> */
    public static function of(FillRule $rule): array
    {
        $settings = $rule->settings;
        $end = fn (?float $end): string => $end === null ? '' : rtrim(rtrim(sprintf('%.6F', $end), '0'), '.');
        $lists = match ($rule->source) {
            FillSource::Words => [
                'lines' => array_map(
                    fn (array $line): string => $line['value'].
                        ': '.
                        implode(', ', $line['any']).
                        ($line['none'] === [] ? '' : ' - '.implode(', ', $line['none'])),
                    $settings['lines'],
                ),
            ],
            FillSource::Number => [
                'bands' => array_map(
                    fn (array $band): string => $end($band['from'] === null ? null : (float) $band['from']).
                        '..'.
                        $end($band['to'] === null ? null : (float) $band['to']).
                        ': '.
                        $band['label'],
                    $settings['bands'],
                ),
            ],
            FillSource::Definition => [
                'table' => array_map(
                    fn (string $from, string $to): string => "{$from}: {$to}",
                    array_map(strval(...), array_keys($settings['table'])),
                    $settings['table'],
                ),
            ],
            default => [],
        };

        return [
            'definition' => $rule->definition->slug,
            'source' => $rule->source->value,
            'scope' => $rule->scope,
        ] +
            array_map(fn (array $lines): string => implode("\n", $lines), $lists) +
            $settings;
    }
}
