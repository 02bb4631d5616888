<?php

declare(strict_types=1);

namespace Bench;

use Lokum\LookAlike\Candidate;
use Lokum\LookAlike\Lexicon;
use Lokum\LookAlike\LookAlikes;
use Lokum\Text\Distance;
use Lokum\Text\StrictKey;

/**
 * Finds look-alikes among values of two words, every sixth with a letter left out; at several sizes up to the one asked for
 * (--products: values). Beside comparing all pairs by edit distance, sampled and scaled.
 */
final readonly class LookAlikeValues implements Benchmark
{
    private const SAMPLED = 20000;

    public function run(int $products, callable $say): array
    {
        $figures = [];
        foreach ([0.1, 0.2, 0.4, 1.0] as $share) {
            $count = max(100, (int) round($products * $share));
            $say(number_format($count).' values');
            $candidates = $this->candidates($count);
            memory_reset_peak_usage();
            $start = hrtime(true);
            $groups = (new LookAlikes(Lexicon::shipped()))->among($candidates);
            $figures["seconds_{$count}"] = round((hrtime(true) - $start) / 1e9, 2);
            $figures["groups_{$count}"] = count($groups);
        }
        $figures['peak_mb'] = round(memory_get_peak_usage() / 1e6);
        $say('baseline: all pairs by edit distance, sampled');
        $all = $this->allPairs($candidates);

        return ['values' => $products] +
            $figures + [
                'baseline_seconds_scaled' => round($all),
                'times_faster' => round($all / max(0.001, $figures["seconds_{$products}"])),
            ];
    }

    /** @return list<Candidate> */
    private function candidates(int $count): array
    {
        mt_srand(3);
        $words = file(dirname(__DIR__).'/core/LookAlike/data/words.txt', FILE_IGNORE_NEW_LINES) ?: ['word'];
        $some = array_map(fn (): string => $words[mt_rand(0, count($words) - 1)], range(1, max(40, intdiv($count, 12))));
        $candidates = [];
        for ($i = 0; $i < $count; $i++) {
            $text = $some[mt_rand(0, count($some) - 1)].' '.$some[$i % count($some)];
            // Every third repeats an earlier one in another way.
            if ($i > 10 && $i % 3 === 0) {
                $text = $candidates[mt_rand(0, $i - 1)]->text;
                $at = mt_rand(1, max(1, strlen($text) - 1));
                $text = $i % 2 === 0 ? ucfirst($text) : substr($text, 0, $at).substr($text, $at + 1);
            }
            $candidates[] = new Candidate($text, mt_rand(0, 50));
        }

        return $candidates;
    }

    /** @param  list<Candidate>  $candidates */
    private function allPairs(array $candidates): float
    {
        $keys = array_map(fn (Candidate $candidate): string => StrictKey::of($candidate->text), array_slice($candidates, 0, 2000));
        $start = hrtime(true);
        for ($i = 0; $i < self::SAMPLED; $i++) {
            Distance::edits($keys[mt_rand(0, count($keys) - 1)], $keys[mt_rand(0, count($keys) - 1)]);
        }

        return (((hrtime(true) - $start) / 1e9 / self::SAMPLED) * count($candidates) * (count($candidates) - 1)) / 2;
    }
}
