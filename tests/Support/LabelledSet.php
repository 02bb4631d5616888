<?php

declare(strict_types=1);

namespace Tests\Support;

/** A labelled set: a line for each thing, its values with their products parted by ~; below, the pairs that are never to be joined. */
final readonly class LabelledSet
{
    private const FOLDER = __DIR__.'/../Core/LookAlike';

    /**
     * @param  list<array{0: string, 1: int}>  $values  in no order
     * @param  list<list<string>>  $groups
     * @param  list<list<string>>  $apart
     */
    private function __construct(public string $name, public array $values, public array $groups, public array $apart)
    {
    }

    /** @return array<string, self> by name */
    public static function all(string $folder = '{,/harder,/unseen,/latest}'): array
    {
        $sets = [];
        foreach (glob(self::FOLDER.$folder.'/*.txt', GLOB_BRACE) ?: [] as $file) {
            $sets[basename($file, '.txt')] = self::read($file);
        }

        return $sets;
    }

    /** @return array<string, array{0: string, 1: string}> pairs that are never to be joined, each alone */
    public static function never(): array
    {
        $pairs = [];
        foreach (file(self::FOLDER.'/never.list', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            [$one, $other] = explode(' | ', $line);
            $pairs[$line] = [$one, $other];
        }

        return $pairs;
    }

    /**
     * @param  list<list<string>>  $groups
     * @return list<string> every two of a group
     */
    public static function pairs(array $groups): array
    {
        $pairs = [];
        foreach ($groups as $members) {
            sort($members);
            foreach ($members as $i => $one) {
                foreach (array_slice($members, $i + 1) as $other) {
                    $pairs[] = "{$one} ~ {$other}";
                }
            }
        }

        return $pairs;
    }

    private static function read(string $file): self
    {
        $values = $groups = $apart = [];
        foreach (file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            if (str_starts_with($line, '# ')) {
                $apart[] = explode(' | ', substr($line, 2));

                continue;
            }
            preg_match_all('/(?:^| ~ )(.*?):(\d+)(?= ~ |$)/', $line, $members, PREG_SET_ORDER);
            $groups[] = array_column($members, 1);
            array_push($values, ...array_map(fn (array $member): array => [$member[1], (int) $member[2]], $members));
        }
        mt_srand(11);
        shuffle($values);

        return new self(basename($file, '.txt'), $values, $groups, $apart);
    }
}
