<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

use JsonException;

/** The part of JSON-LD (W3C Recommendation 1.1) that lists of concepts are written in: nodes with their properties, in a graph or not. */
final class JsonLd
{
    /**
     * @return list<Triple>
     *
     * @throws UnreadableSkos
     */
    public static function triples(string $text): array
    {
        try {
            $data = json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $why) {
            throw UnreadableSkos::notJson($why->getMessage());
        }
        $context = is_array($data) && is_array($data['@context'] ?? null) ? $data['@context'] : [];
        $nodes = is_array($data) ? (array_is_list($data) ? $data : $data['@graph'] ?? [$data]) : [];
        $triples = [];
        foreach (is_array($nodes) ? $nodes : [] as $node) {
            if (is_array($node) && is_string($node['@id'] ?? null)) {
                foreach (array_diff_key($node, ['@id' => 0, '@context' => 0]) as $name => $values) {
                    foreach (is_array($values) && array_is_list($values) ? $values : [$values] as $value) {
                        $triples[] = $name === '@type'
                            ? self::triple($node['@id'], Triple::TYPE, is_string($value) ? self::whole($value, $context) : $value)
                            : self::triple($node['@id'], self::whole((string) $name, $context), $value);
                    }
                }
            }
        }

        return array_values(array_filter($triples));
    }

    private static function triple(string $subject, string $property, mixed $value): ?Triple
    {
        $object = is_array($value) ? $value['@value'] ?? ($value['@id'] ?? null) : $value;
        $language = is_array($value) && is_string($value['@language'] ?? null) ? strtolower($value['@language']) : null;

        return is_scalar($object)
            ? new Triple($subject, $property, (string) $object, $language)
            : null;
    }

    /** @param  array<mixed>  $context */
    private static function whole(string $name, array $context): string
    {
        $known = $context[$name] ?? null;
        $known = is_array($known) ? $known['@id'] ?? null : $known;
        $name = is_string($known) ? $known : $name;
        [$prefix, $local] = [...explode(':', $name, 2), ''];
        $base = $context[$prefix] ?? ($context['@vocab'] ?? null);

        return match (true) {
            is_string($context[$prefix] ?? null) && $local !== '' => $context[$prefix].$local,
            $local === '' && is_string($base) => $base.$name,
            default => $name,
        };
    }
}
