<?php

declare(strict_types=1);

namespace App\Door;

use Closure;
use Illuminate\Http\Request;
use Lokum\Lineup\AddressWords;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * The one guard of what comes in: texts are valid UTF-8, a name that takes one text gets one, lists are no deeper than they are
 * read, and an address is no longer than people and programs need. Nothing behind it has to ask again.
 */
final class SoundInput
{
    /** Characters of an address behind its question mark. */
    private const LONGEST_QUERY = 8000;

    /** The lists that each room of the desk reads, and how deep: 1 a list of texts, 2 rows of texts, 3 rows that hold lists. */
    private const LISTS = [
        'api' => ['products' => 2],
        'products' => [
            'where' => 1,
            'is' => 1,
            'columns' => 1,
            'pick' => 1,
            'value' => 1,
            'cells' => 2,
            'flag' => 1,
        ],
        'values' => [
            'pick' => 1,
            'ids' => 1,
            'colors' => 1,
            'read_as' => 1,
            'groups' => 2,
            'listed' => 1,
            'stays' => 1,
            'add' => 1,
        ],
        'newcomers' => ['pick' => 1, 'same' => 1, 'is' => 1],
        'line-ups' => [
            'ids' => 1,
            'sources' => 1,
            'chosen' => 1,
            'pinned' => 1,
            'admit' => 1,
            'colors' => 1,
            'bands' => 2,
            'sorts' => 3,
        ],
        'definitions' => ['ids' => 1],
        'expected' => ['definitions' => 1],
        'rules' => ['in' => 1, 'scope' => 1, 'ids' => 1],
        'feeds' => [
            'leaves' => 1,
            'bounds' => 1,
            'files' => 1,
            'headings' => 1,
            'targets' => 1,
            'labels' => 1,
            'kinds' => 1,
            'levels' => 1,
        ],
    ];

    /** What each room takes as a file. */
    private const FILES = [
        'feeds' => ['files' => 100],
        'line-ups' => ['look_picture' => 1],
        'settings' => ['picture' => 1],
        'values' => ['picture' => 1, 'look_picture' => 1, 'list' => 1],
    ];

    public function handle(Request $request, Closure $next): Response
    {
        if (strlen((string) $request->server->get('QUERY_STRING')) > self::LONGEST_QUERY) {
            throw new HttpException(
                414,
                'This address is longer than '.number_format(self::LONGEST_QUERY).' characters. Pick less at once.',
            );
        }
        if (
            ! mb_check_encoding(rawurldecode($request->getPathInfo()), 'UTF-8') ||
            str_contains(rawurldecode($request->getPathInfo()), "\0")
        ) {
            throw new BadRequestHttpException('This address holds characters that are none.');
        }
        $room = explode('/', ltrim($request->getPathInfo(), '/'))[0];
        $shoppers = in_array($room, ['shop', 'api'], true);
        foreach (
            [$request->query->all(), $request->request->all(), $request->isJson() ? $request->json()->all() : []] as $given
        ) {
            foreach ($given as $name => $value) {
                $this->check(
                    (string) $name,
                    $value,
                    match (true) {
                        ! $shoppers || ! $request->isMethodCacheable() => self::LISTS[$room][$name] ?? 0,
                        // Every other name may be a filter, whose picks are a list.
                        in_array((string) $name, AddressWords::NO_FILTERS, true) => 0,
                        default => 1,
                    },
                );
            }
        }
        foreach ($request->files->all() as $name => $given) {
            $most = self::FILES[$room][$name] ?? 0;
            $files = array_filter(is_array($given) ? $given : [$given], fn (mixed $file): bool => $file !== null);
            if ($most === 0) {
                throw new BadRequestHttpException('"'.self::shown((string) $name).'" takes no file.');
            }
            if (
                count($files) > $most ||
                ($most === 1 && is_array($given)) ||
                array_filter($files, fn (mixed $file): bool => ! ($file instanceof UploadedFile)) !== []
            ) {
                throw new BadRequestHttpException(
                    '"'.self::shown((string) $name).'" takes '.($most === 1 ? 'one file.' : "up to {$most} files."),
                );
            }
        }

        return $next($request);
    }

    private function check(string $name, mixed $value, int $depth): void
    {
        if (is_array($value)) {
            if ($depth <= 0) {
                throw new BadRequestHttpException('"'.self::shown($name).'" takes one text, and a list came.');
            }
            foreach ($value as $key => $one) {
                if (! is_int($key)) {
                    $this->check($name, $key, 0);
                }
                $this->check($name, $one, $depth - 1);
            }
        } elseif (is_string($value) && (! mb_check_encoding($value, 'UTF-8') || str_contains($value, "\0"))) {
            throw new BadRequestHttpException('"'.self::shown($name).'" holds bytes that are no text in UTF-8.');
        } elseif (! mb_check_encoding($name, 'UTF-8')) {
            throw new BadRequestHttpException('A name in this request holds bytes that are no text in UTF-8.');
        }
    }

    private static function shown(string $name): string
    {
        return mb_strimwidth(mb_scrub($name), 0, 60, '…');
    }
}
