<?php

declare(strict_types=1);

namespace Lokum\Vocabulary;

/**
 * The part of Turtle (W3C Recommendation RDF 1.1 Turtle) that lists of concepts are written in: prefixes, names, texts with their
 * languages, lists by comma and semicolon. Blank nodes and collections say nothing of concepts and are refused.
 */
final class Turtle
{
    /** A mark behind a backslash, or the number of a letter: \n, \u00e9, \U0001F600 */
    private const ESCAPED = '/\\\\(u[0-9A-Fa-f]{4}|U[0-9A-Fa-f]{8}|.)/su';

    private const TOKEN = '/\G(?:
        (?<space>[ \t\r\n]+|\#[^\n]*) |
        (?<iri><[^<>"{}|^`\s]*>) |
        (?<long>"""(?:[^"\\\\]++|\\\\.|"(?!""))*+""") |
        (?<short>"(?:[^"\\\\\n]++|\\\\.)*+"|\'(?:[^\'\\\\\n]++|\\\\.)*+\') |
        (?<language>@[A-Za-z]+(?:-[A-Za-z0-9]+)*) |
        (?<type>\^\^) |
        (?<mark>[.;,]) |
        (?<name>(?:[^\s<>"\';,\#()\[\]^@\\\\]|\\\\[^\s\pL\pN])+)
    )/xsu';

    /** Of letters; any other mark stands for itself. */
    private const ESCAPES = [
        't' => "\t",
        'b' => "\x08",
        'n' => "\n",
        'r' => "\r",
        'f' => "\f",
    ];

    /** @var list<array{0: string, 1: string, 2: int}> kind, text and line */
    private array $tokens = [];

    private int $at = 0;

    /** @var array<string, string> */
    private array $prefixes = [];

    private string $base = '';

    private function __construct(string $text)
    {
        $offset = str_starts_with($text, "\u{FEFF}") ? 3 : 0;
        $line = 1;
        while ($offset < strlen($text)) {
            if (preg_match(self::TOKEN, $text, $found, PREG_UNMATCHED_AS_NULL, $offset) !== 1) {
                $what = mb_strimwidth(substr($text, $offset), 0, 20, '…');
                throw UnreadableSkos::onLine($line, "\"{$what}\" is no Turtle that Lokum reads");
            }
            $offset += strlen($found[0]);
            foreach (['iri', 'long', 'short', 'language', 'type', 'mark', 'name'] as $kind) {
                if (($found[$kind] ?? null) !== null) {
                    $this->add($kind, $found[$kind], $line);
                }
            }
            $line += substr_count($found[0], "\n");
        }
    }

    /**
     * @return list<Triple>
     *
     * @throws UnreadableSkos naming the line
     */
    public static function triples(string $text): array
    {
        return (new self($text))->statements();
    }

    private function add(string $kind, string $text, int $line): void
    {
        $ends = $kind === 'name' && str_ends_with($text, '.') && strlen($text) > 1;
        $this->tokens[] = [$kind, $ends ? substr($text, 0, -1) : $text, $line];
        if ($ends) {
            $this->tokens[] = ['mark', '.', $line];
        }
    }

    /** @return list<Triple> */
    private function statements(): array
    {
        $triples = [];
        while (isset($this->tokens[$this->at])) {
            $word = strtolower($this->tokens[$this->at][1]);
            if (in_array($word, ['@prefix', 'prefix', '@base', 'base'], true)) {
                $this->declaration($word);

                continue;
            }
            $subject = $this->named();
            do {
                $property = $this->named();
                do {
                    $triples[] = $this->about($subject, $property);
                } while ($this->has(','));
            } while ($this->goesOn());
            $this->end();
        }

        return $triples;
    }

    /** Whether another property of the same thing follows; semicolons may stand before a full stop, too. */
    private function goesOn(): bool
    {
        $was = $this->at;
        while ($this->has(';')) {
            continue;
        }

        return $this->at > $was && ($this->tokens[$this->at][1] ?? '.') !== '.';
    }

    private function declaration(string $word): void
    {
        $this->at++;
        $name = str_ends_with($word, 'prefix') ? $this->next('name')[1] : null;
        $iri = $this->iri($this->next('iri')[1]);
        if ($name === null) {
            $this->base = $iri;
        } else {
            $this->prefixes[rtrim($name, ':')] = $iri;
        }
        if (str_starts_with($word, '@')) {
            $this->end();
        }
    }

    private function about(string $subject, string $property): Triple
    {
        $kind = $this->tokens[$this->at][0] ?? '';
        if ($kind !== 'short' && $kind !== 'long') {
            return new Triple($subject, $property, $this->named());
        }
        $text = $this->text($this->next($kind)[1], $kind === 'long' ? 3 : 1);
        $language = null;
        if (($this->tokens[$this->at][0] ?? '') === 'language') {
            $language = strtolower(substr($this->next('language')[1], 1));
        } elseif (($this->tokens[$this->at][0] ?? '') === 'type') {
            $this->at++;
            $this->named();
        }

        return new Triple($subject, $property, $text, $language);
    }

    private function named(): string
    {
        [$kind, $text, $line] = $this->tokens[$this->at] ?? ['', 'the end', $this->tokens[$this->at - 1][2] ?? 1];
        $this->at++;
        if ($kind === 'iri') {
            return $this->iri($text);
        }
        if ($kind !== 'name' || str_starts_with($text, '_:')) {
            throw UnreadableSkos::onLine($line, "a name was expected, and \"{$text}\" came");
        }
        if (! str_contains($text, ':')) {
            return $text === 'a' ? Triple::TYPE : $text;
        }
        [$prefix, $local] = explode(':', $text, 2);

        return ($this->prefixes[$prefix] ?? throw UnreadableSkos::onLine($line, "the prefix \"{$prefix}:\" is not said")).
            stripslashes($local);
    }

    private function iri(string $token): string
    {
        $iri = substr($token, 1, -1);

        return preg_match('/^[A-Za-z][A-Za-z0-9+.-]*:/', $iri) === 1 ? $iri : $this->base.$iri;
    }

    private function text(string $token, int $quotes): string
    {
        return (string) preg_replace_callback(
            self::ESCAPED,
            fn (array $part): string => match (strtolower($part[1][0])) {
                'u' => mb_chr((int) hexdec(substr($part[1], 1))),
                default => self::ESCAPES[$part[1]] ?? $part[1],
            },
            substr($token, $quotes, -$quotes),
        );
    }

    /** @return array{0: string, 1: string, 2: int} */
    private function next(string $kind): array
    {
        $token = $this->tokens[$this->at] ?? ['', 'the end', $this->tokens[$this->at - 1][2] ?? 1];
        $this->at++;

        return $token[0] === $kind ? $token : throw UnreadableSkos::onLine($token[2], "\"{$token[1]}\" was not expected");
    }

    private function has(string $mark): bool
    {
        $is = ($this->tokens[$this->at] ?? null) !== null &&
            $this->tokens[$this->at][0] === 'mark' &&
            $this->tokens[$this->at][1] === $mark;
        $this->at += $is ? 1 : 0;

        return $is;
    }

    private function end(): void
    {
        if (! $this->has('.')) {
            $token = $this->tokens[$this->at] ?? ['', 'the end', $this->tokens[$this->at - 1][2] ?? 1];
            throw UnreadableSkos::onLine($token[2], "a full stop was expected, and \"{$token[1]}\" came");
        }
    }
}
