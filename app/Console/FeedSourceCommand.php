<?php

declare(strict_types=1);

namespace App\Console;

use App\Feeds\FeedFile;
use App\Feeds\LeaveToOthers;
use App\Models\Definition;
use App\Models\Feed;
use App\Models\Heading;
use App\Sources\FeedBounds;
use App\Sources\SaveSource;
use App\Sources\Source;
use App\Support\Refused;

final class FeedSourceCommand extends Command
{
    protected $signature = 'feed:source {feed : name of the feed}
        {--inbox= : files of the inbox, such as tarnbeck-*.csv}
        {--url= : an address, asked by GET, or sftp://host/folder}
        {--user= : name there, where it asks for one}
        {--secret= : password, or a token where there is no name}
        {--secret-file= : a file with it, or with a private key}
        {--no-secret : forget the password that is kept}
        {--new-key : the server has another key than before, and that is right}
        {--private : the address may lie in a private network}
        {--pattern= : the file that is meant in an archive}
        {--hand : somebody brings the files}
        {--times= : when it is looked for: every 20 minutes; 05:30; weekdays 05:30, 17:00; or a cron expression}
        {--by-itself= : yes or no: what is within the bounds is read without anybody}
        {--whole= : yes or no: it has all products each time}
        {--gone= : stay, sold-out or out: what becomes of what it sends no longer}
        {--leaves= : columns whose word is another feed\'s where that sends the same product: price,stock,color; "none"}
        {--bounds= : JSON of least_rows, most_rows, refused, new, changed, gone, jumps, values, headings; "proposed" for those of its past}
        {--json : answer with one JSON document}';

    protected $description = 'Says where a feed\'s files come from, when, and what may happen with them by itself';

    public function handle(SaveSource $save): int
    {
        $feed = Feed::query()->firstOrCreate(['name' => $this->text('feed')])->refresh();
        $change = $save($feed, $this->input($feed), $feed->version);

        return $this->answer(
            FeedListCommand::document($feed->refresh()) + ['change' => $change?->id],
            [$change->summary ?? 'Nothing was different.', FeedBounds::of($feed)->inWords()],
        );
    }

    /** @return array<string, mixed> as the form sends it; what was not said stays */
    private function input(Feed $feed): array
    {
        $source = Source::of($feed);
        $kind = match (true) {
            $this->option('hand') => 'hand',
            $this->option('inbox') !== null => 'inbox',
            $this->option('url') !== null => str_starts_with($this->textOption('url'), 'sftp:') ? 'server' : 'address',
            default => $source->kind->value,
        };
        $said = fn (string $option, string $was): string => $this->option($option) === null ? $was : $this->textOption($option);
        $yes = fn (string $option, bool $was): bool => match ($said($option, '')) {
            '' => $was,
            'yes' => true,
            'no' => false,
            default => throw new Refused("--{$option} is yes or no."),
        };
        $bounds = $said('bounds', '');

        return [
            'kind' => $kind,
            'pattern' => $said('inbox', $said('pattern', $source->pattern)),
            'url' => $said('url', $source->url),
            'user' => $said('user', $source->user),
            'secret' => $this->option('secret-file') === null
                ? $this->textOption('secret')
                : (string) stream_get_contents(FeedFile::open($this->textOption('secret-file'))),
            'no_secret' => (bool) $this->option('no-secret'),
            'new_key' => (bool) $this->option('new-key'),
            'private' => (bool) $this->option('private') || $source->private,
            'times' => $said('times', (string) $feed->times),
            'by_itself' => $yes('by-itself', $feed->by_itself),
            'whole' => $yes('whole', $feed->whole),
            'gone' => $said('gone', $feed->gone->value),
            'leaves' => $this->leaves($feed),
            'own_bounds' => $bounds === '' ? $feed->bounds !== null : $bounds !== 'proposed',
            'bounds' => $bounds === '' || $bounds === 'proposed'
                ? $feed->bounds
                : json_decode($bounds, true) ?? throw new Refused('--bounds takes a JSON object.'),
        ];
    }

    /**
     * @return list<string>
     *
     * @throws Refused for a column that the feed does not have
     */
    private function leaves(Feed $feed): array
    {
        if ($this->option('leaves') === null) {
            return $feed->leaves ?? [];
        }
        $choices = LeaveToOthers::choices($feed);
        $keys = [];
        foreach (array_filter(explode(',', $this->textOption('leaves')), fn (string $name): bool => $name !== 'none') as $name) {
            $definition = Definition::called(trim($name));
            $key = isset($choices[trim($name)]) ? trim($name) : Heading::ofDefinition($definition->id ?? 0);
            $keys[] = isset($choices[$key]) ? $key : throw Refused::unknown("column of {$feed->name}", trim($name));
        }

        return $keys;
    }
}
