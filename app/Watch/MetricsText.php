<?php

declare(strict_types=1);

namespace App\Watch;

/** Figures as text that Prometheus reads (exposition format 0.0.4). */
final class MetricsText
{
    /** @var list<string> */
    private array $lines = [];

    public function gauge(string $name, string $help, int|float $value): void
    {
        $this->head($name, $help, 'gauge');
        $this->lines[] = "{$name} {$value}";
    }

    /**
     * @param  array<string, array{seconds: float, steps: list<int>}>  $counted  by area and class of status
     * @param  list<float>  $steps
     */
    public function histogram(string $name, string $help, array $counted, array $steps): void
    {
        $this->head($name, $help, 'histogram');
        foreach ($counted as $what => $one) {
            [$area, $status] = explode(' ', $what);
            $labels = "area=\"{$area}\",status=\"{$status}\"";
            foreach ([...array_map(strval(...), $steps), '+Inf'] as $i => $most) {
                $this->lines[] = "{$name}_bucket{{$labels},le=\"{$most}\"} {$one['steps'][$i]}";
            }
            $this->lines[] = "{$name}_sum{{$labels}} ".round($one['seconds'], 6);
            $this->lines[] = "{$name}_count{{$labels}} ".$one['steps'][count($steps)];
        }
    }

    public function text(): string
    {
        return implode("\n", $this->lines)."\n";
    }

    private function head(string $name, string $help, string $type): void
    {
        array_push($this->lines, "# HELP {$name} {$help}", "# TYPE {$name} {$type}");
    }
}
