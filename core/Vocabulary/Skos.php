<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use Lokum\Text\Slug;
use Lokum\Text\StrictKey;

/**
 * A list of values as SKOS concepts (W3C Recommendation, 18 August 2009): values with their spellings as alternative labels, or
 * as hidden ones where they are the same letters; umbrellas as broader concepts. Spellings whose language is known carry its tag.
 */
final readonly class Skos
{
    private const NAMESPACE = 'http://www.w3.org/2004/02/skos/core#';

    /** @param  list<ListedValue>  $values */
    public function __construct(private string $scheme, private string $title, private array $values)
    {
    }

    /** The list in Turtle (W3C Recommendation RDF 1.1 Turtle), with one concept a value and one for each umbrella. */
    public function turtle(): string
    {
        $lines = [
            '@prefix skos: <'.self::NAMESPACE.'> .',
            '',
            "<{$this->iri('')}> a skos:ConceptScheme ;",
            '    skos:prefLabel '.self::literal($this->title).' .',
            '',
        ];
        foreach ($this->concepts() as $concept) {
            $parts = ["<{$concept['iri']}> a skos:Concept", "    skos:inScheme <{$this->iri('')}>"];
            foreach (['prefLabel', 'altLabel', 'hiddenLabel', 'notation', 'definition'] as $property) {
                foreach ($concept[$property] as $text) {
                    $parts[] = "    skos:{$property} ".self::literal($text).self::tag($concept['languages'][$text] ?? null);
                }
            }
            foreach (['broader', 'narrower', 'topConceptOf'] as $property) {
                foreach ($concept[$property] as $iri) {
                    $parts[] = "    skos:{$property} <{$iri}>";
                }
            }
            array_push($lines, implode(" ;\n", $parts).' .', '');
        }

        return implode("\n", $lines);
    }

    /**
     * The same in JSON-LD (W3C Recommendation JSON-LD 1.1), pretty-printed.
     *
     * @throws \JsonException for texts that are no UTF-8
     */
    public function jsonLd(): string
    {
        $graph = [['@id' => $this->iri(''), '@type' => 'skos:ConceptScheme', 'skos:prefLabel' => $this->title]];
        foreach ($this->concepts() as $concept) {
            $node = ['@id' => $concept['iri'], '@type' => 'skos:Concept', 'skos:inScheme' => ['@id' => $this->iri('')]];
            foreach (['prefLabel', 'altLabel', 'hiddenLabel', 'notation', 'definition'] as $property) {
                if ($concept[$property] !== []) {
                    $texts = array_map(
                        fn (string $text): string|array => isset($concept['languages'][$text])
                            ? ['@value' => $text, '@language' => $concept['languages'][$text]]
                            : $text,
                        $concept[$property],
                    );
                    $node["skos:{$property}"] = count($texts) === 1 ? $texts[0] : $texts;
                }
            }
            foreach (['broader', 'narrower', 'topConceptOf'] as $property) {
                if ($concept[$property] !== []) {
                    $node["skos:{$property}"] = array_map(fn (string $iri): array => ['@id' => $iri], $concept[$property]);
                }
            }
            $graph[] = $node;
        }

        return json_encode(
            ['@context' => ['skos' => self::NAMESPACE], '@graph' => $graph],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR,
        );
    }

    /**
     * @return list<array{iri: string, prefLabel: list<string>, altLabel: list<string>, hiddenLabel: list<string>,
     *         notation: list<string>, definition: list<string>, broader: list<string>, narrower: list<string>,
     *         topConceptOf: list<string>, languages: array<string, string>}>
     */
    private function concepts(): array
    {
        $under = [];
        foreach ($this->values as $value) {
            if ($value->umbrella !== null) {
                $under[$value->umbrella][] = $this->iri('value/'.$value->slug);
            }
        }
        $concepts = [];
        foreach ($under as $umbrella => $members) {
            $concepts[] = [
                'iri' => $this->umbrella("{$umbrella}"),
                'prefLabel' => ["{$umbrella}"],
                'altLabel' => [],
                'hiddenLabel' => [],
                'notation' => [],
                'definition' => [],
                'broader' => [],
                'narrower' => $members,
                'topConceptOf' => [$this->iri('')],
                'languages' => [],
            ];
        }
        foreach ($this->values as $value) {
            [$alternative, $hidden] = $this->labels($value);
            $concepts[] = [
                'iri' => $this->iri('value/'.$value->slug),
                'prefLabel' => [$value->label],
                'altLabel' => $alternative,
                'hiddenLabel' => $hidden,
                'notation' => [$value->slug],
                'definition' => $value->help === null ? [] : [$value->help],
                'broader' => $value->umbrella === null ? [] : [$this->umbrella($value->umbrella)],
                'narrower' => [],
                'topConceptOf' => $value->umbrella === null ? [$this->iri('')] : [],
                'languages' => array_diff_key($value->languages, [$value->label => true]),
            ];
        }

        return $concepts;
    }

    /**
     * No text is a label of two kinds (S13): what reads like the label, or like another name, is hidden.
     *
     * @return array{0: list<string>, 1: list<string>} alternative and hidden
     */
    private function labels(ListedValue $value): array
    {
        $seen = [StrictKey::of($value->label) => true];
        $alternative = [];
        $hidden = [];
        foreach (array_values(array_unique($value->spellings)) as $spelling) {
            if ($spelling === $value->label) {
                continue;
            }
            $key = StrictKey::of($spelling);
            if (isset($seen[$key])) {
                $hidden[] = $spelling;
            } else {
                $alternative[] = $spelling;
            }
            $seen[$key] = true;
        }

        return [$alternative, $hidden];
    }

    private function umbrella(string $label): string
    {
        return $this->iri('umbrella/'.rawurlencode(Slug::of($label)).'-'.hash('crc32b', $label));
    }

    private function iri(string $local): string
    {
        return "tag:lokum.invalid,2026:{$this->scheme}".
            ($local === '' ? '' : '/'.implode('/', array_map(rawurlencode(...), explode('/', $local))));
    }

    private static function tag(?string $language): string
    {
        return $language === null ? '' : "@{$language}";
    }

    private static function literal(string $text): string
    {
        return '"'.
            strtr($text, [
                '\\' => '\\\\',
                '"' => '\\"',
                "\n" => '\\n',
                "\r" => '\\r',
                "\t" => '\\t',
                "\x08" => '\\b',
                "\f" => '\\f',
            ]).
            '"';
    }
}
