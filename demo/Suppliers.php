<?php

declare(strict_types=1);

namespace Demo;

use App\Models\Feed;
use App\Sources\SaveSource;
use App\Sources\Source;
use App\Sources\SourceKind;
use Lokum\Feed\Gone;
use Symfony\Component\Process\Process;

/** The demo's four suppliers: two have a server, which the demo stands in for, two put files into the inbox. */
final readonly class Suppliers
{
    private const SERVERS = ['Tarnbeck' => 'tarnbeck.csv', 'Ostrelle' => 'ostrelle.csv'];

    private const INBOX = ['Pellworth' => 'pellworth-night-*.csv.gz', 'Brannoch' => 'brannoch-night-*.csv'];

    public function __construct(private SaveSource $save)
    {
    }

    public static function directory(): string
    {
        return config('lokum.data').'/suppliers';
    }

    /** Says once where the four feeds come from; those with a server go where it is today. */
    public function settle(int $port): void
    {
        @mkdir(self::directory(), 0700);
        foreach (self::SERVERS as $feed => $file) {
            if (! is_file(self::directory()."/{$file}")) {
                copy(__DIR__."/feeds/{$file}", self::directory()."/{$file}");
            }
        }
        foreach (Feed::query()->whereIn('name', [...array_keys(self::SERVERS), ...array_keys(self::INBOX)])->get() as $feed) {
            $input = isset(self::SERVERS[$feed->name])
                ? ['kind' => 'address', 'url' => "http://127.0.0.1:{$port}/".self::SERVERS[$feed->name], 'private' => true]
                : ['kind' => 'inbox', 'pattern' => self::INBOX[$feed->name]];
            $was = Source::of($feed);
            if ($was->kind === SourceKind::Hand) {
                ($this->save)($feed, $input + ['times' => '05:30', 'by_itself' => true], $feed->version);
            } elseif (str_starts_with($was->url, 'http://127.0.0.1:') && $was->url !== ($input['url'] ?? '')) {
                $feed->fill(['source' => Source::from($input)->toArray()])->saveQuietly();
            }
        }
    }

    /** Serves their files for as long as it is held. */
    public static function serve(int $port): Process
    {
        $process = new Process(
            [PHP_BINARY, '-S', "127.0.0.1:{$port}", __DIR__.'/supplier.php'],
            __DIR__,
            ['LOKUM_SUPPLIERS' => self::directory()],
            null,
            null,
        );
        $process->disableOutput();
        $process->start();
        for ($i = 0; $i < 100 && @fsockopen('127.0.0.1', $port) === false; $i++) {
            usleep(50_000);
        }

        return $process;
    }

    /** From now on they send all they have each night; what waits in the inbox was a part. */
    public static function sendAll(): void
    {
        array_map(unlink(...), glob(config('lokum.data').'/inbox/*-2026-11.csv') ?: []);
        foreach (Feed::query()->get() as $feed) {
            $feed->fill(['whole' => true, 'gone' => $feed->name === 'Brannoch' ? Gone::SoldOut : Gone::Out])->saveQuietly();
        }
    }
}
