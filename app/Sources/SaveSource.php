<?php

declare(strict_types=1);

namespace App\Sources;

use App\Feeds\LeaveToOthers;
use App\History\Journal;
use App\History\Ledger;
use App\History\ManagersOnly;
use App\Models\Change;
use App\Models\Feed;
use App\Models\Room;
use App\Support\Refused;
use App\Support\Times;
use Illuminate\Support\Facades\Crypt;
use Lokum\Feed\BadBound;
use Lokum\Feed\Bounds;
use Lokum\Feed\Gone;

/** Says where a feed's files come from, when, within which bounds they are read by themselves, and what becomes of what is gone. */
final readonly class SaveSource
{
    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  array<string, mixed>  $input  source (kind, pattern, url, user, private), secret, no_secret, new_key, times, by_itself,
     *         whole, gone, leaves, own_bounds and bounds
     *
     * @throws Refused naming the field
     */
    public function __invoke(Feed $feed, array $input, int $version): ?Change
    {
        $source = Source::from($input);
        $was = Source::of($feed);
        // What was allowed is that one address, not the network.
        $isAllowed = $was->private && $was->url === $source->url;
        if ($source->private && ! $isAllowed && ! ManagersOnly::isAsked()) {
            throw new Refused('Only a manager lets a source lie in a private network.', 'private');
        }
        $text = fn (string $key): string => is_scalar($input[$key] ?? null) ? trim((string) $input[$key]) : '';
        $times = $text('times') === '' ? null : Times::of($text('times'))->said;
        $row = [
            'source' => $source->toArray() === null ? null : (string) json_encode($source->toArray(), JSON_UNESCAPED_UNICODE),
            'times' => $source->kind === SourceKind::Hand ? null : $times,
            'by_itself' => (int) (bool) ($input['by_itself'] ?? false),
            'whole' => (int) (bool) ($input['whole'] ?? false),
            'leaves' => self::leaves($feed, (array) ($input['leaves'] ?? $feed->leaves ?? [])),
            'gone' => (Gone::tryFrom($text('gone')) ?? Gone::Stay)->value,
            'bounds' => (bool) ($input['own_bounds'] ?? false) ? self::bounds((array) ($input['bounds'] ?? [])) : null,
            'failures' => 0,
        ];
        // What one machine asks for is told to no other.
        $isForgotten = $feed->secret !== null && $text('secret') === '' &&
            ((bool) ($input['no_secret'] ?? false) || $source->machine() !== $was->machine());
        if ($text('secret') !== '') {
            $row['secret'] = Crypt::encryptString($text('secret'));
        } elseif ($isForgotten) {
            $row['secret'] = null;
        }
        // Another place has not told anything yet.
        if ($source->url !== $was->url) {
            $row['seen'] = null;
        } elseif ((bool) ($input['new_key'] ?? false)) {
            $row['seen'] = (string) json_encode(array_diff_key($feed->seen ?? [], ['host key' => 0]));
        }

        return $this->ledger->record(Room::Feeds, function (Journal $journal) use ($feed, $row, $source, $version, $isForgotten): string {
            if ($feed->refresh()->version !== $version) {
                throw Refused::changedMeanwhile($feed->name);
            }
            $journal->update(Feed::class, $feed->id, $row);

            return "{$feed->name}: {$source->inWords()}".($row['times'] === null ? '' : ", {$row['times']}").
                ($row['by_itself'] === 1 ? ', read by itself within bounds' : '').
                self::left($row['leaves'], $feed).
                ($isForgotten ? '; its password is forgotten' : '');
        });
    }

    private static function left(?string $leaves, Feed $feed): string
    {
        $keys = (array) json_decode($leaves ?? '[]', true);
        $labels = array_intersect_key(LeaveToOthers::choices($feed), array_fill_keys(array_filter($keys, is_string(...)), true));

        return $labels === [] ? '' : ', leaves '.implode(', ', $labels).' to other feeds';
    }

    /** @param  array<mixed>  $said */
    private static function leaves(Feed $feed, array $said): ?string
    {
        $known = array_values(array_filter(
            array_keys(LeaveToOthers::choices($feed)),
            fn (string $key): bool => in_array($key, $said, true),
        ));

        return $known === [] ? null : json_encode($known, JSON_THROW_ON_ERROR);
    }

    /**
     * @param  array<string, mixed>  $said
     *
     * @throws Refused naming the field
     */
    private static function bounds(array $said): string
    {
        try {
            return (string) json_encode(Bounds::from($said)->toArray());
        } catch (BadBound $why) {
            throw new Refused($why->getMessage(), "bounds.{$why->figure}");
        }
    }
}
