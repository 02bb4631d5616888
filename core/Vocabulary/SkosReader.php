<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/**
 * Reads concepts of SKOS (W3C Recommendation, 18 August 2009) as a list of values: preferred labels are values, all other labels
 * their spellings, broader concepts their umbrellas, notations their words in addresses, definitions their help.
 */
final class SkosReader
{
    private const SKOS = 'http://www.w3.org/2004/02/skos/core#';

    /**
     * @param  string  $text  Turtle, or JSON-LD whose names are prefixed with skos: or whole
     * @return list<array{value: string, umbrella: string, spelling: string, help: string, address: string}> a row for each label
     *
     * @throws UnreadableSkos for what is neither, or has no concept with a preferred label
     */
    public static function rows(string $text): array
    {
        $start = ltrim($text, "\u{FEFF} \t\r\n");
        $said = [];
        foreach ($start !== '' && ($start[0] === '{' || $start[0] === '[') ? JsonLd::triples($start) : Turtle::triples($text) as $triple) {
            if (str_starts_with($triple->property, self::SKOS)) {
                $said[$triple->subject][substr($triple->property, strlen(self::SKOS))][] = $triple;
            } elseif ($triple->property === Triple::TYPE && str_starts_with($triple->object, self::SKOS)) {
                $said[$triple->subject][substr($triple->object, strlen(self::SKOS))][] = $triple;
            }
        }
        $labels = array_map(self::label(...), $said);
        $above = [];
        foreach ($said as $iri => $concept) {
            foreach ($concept['broader'] ?? [] as $triple) {
                $above[$iri] ??= $triple->object;
            }
            foreach ($concept['narrower'] ?? [] as $triple) {
                $above[$triple->object] ??= $iri;
            }
        }
        $umbrellas = array_fill_keys(array_values($above), true);
        $rows = [];
        foreach ($said as $iri => $concept) {
            $label = $labels[$iri];
            // A scheme has a label, too, and is no concept.
            if ($label === '' || isset($umbrellas[$iri]) || ! self::isConcept($concept)) {
                continue;
            }
            $row = [
                'value' => $label,
                'umbrella' => $labels[$above[$iri] ?? ''] ?? '',
                'spelling' => $label,
                'help' => ($concept['definition'][0] ?? null)->object ?? '',
                'address' => ($concept['notation'][0] ?? null)->object ?? '',
            ];
            $rows[] = $row;
            foreach (['prefLabel', 'altLabel', 'hiddenLabel'] as $kind) {
                foreach ($concept[$kind] ?? [] as $triple) {
                    if ($triple->object !== $label) {
                        $rows[] = ['spelling' => $triple->object] + $row;
                    }
                }
            }
        }

        return $rows === [] ? throw UnreadableSkos::noConcepts() : $rows;
    }

    /**
     * Whether what has a label is a concept: it says so, or says more than a scheme does.
     *
     * @param  array<string, list<Triple>>  $concept
     */
    private static function isConcept(array $concept): bool
    {
        return ! isset($concept['ConceptScheme']) && array_diff(array_keys($concept), ['prefLabel', 'hasTopConcept']) !== [];
    }

    /**
     * The preferred label without a language, else the English one, else the first.
     *
     * @param  array<string, list<Triple>>  $concept
     */
    private static function label(array $concept): string
    {
        $labels = $concept['prefLabel'] ?? [];
        usort($labels, fn (Triple $a, Triple $b): int => self::rank($a) <=> self::rank($b));

        return $labels === [] ? '' : $labels[0]->object;
    }

    private static function rank(Triple $label): int
    {
        return match (true) {
            $label->language === null => 0,
            str_starts_with($label->language, 'en') => 1,
            default => 2,
        };
    }
}
