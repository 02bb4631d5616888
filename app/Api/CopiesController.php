<?php

declare(strict_types=1);

namespace App\Api;

use App\Door\Answers;
use App\Editions\LivePrices;
use App\Editions\Served;
use App\Models\Edition;
use App\Replicas\Manifest;
use App\Support\Pictures;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What replicas fetch: a list of what there is, and each file of it, whole or from where a transfer was broken off (RFC 9110, 14). */
final class CopiesController
{
    public function manifest(Request $request): JsonResponse
    {
        $this->ensureAllowed($request);
        $manifest = Manifest::of(Served::of($request));

        return response()
            ->json($manifest->toArray(), options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)
            ->setEtag($manifest->tag());
    }

    public function edition(Request $request, string $file): BinaryFileResponse
    {
        $this->ensureAllowed($request);
        $edition = Served::of($request)->edition;
        if ($edition === null || $file !== $edition->file) {
            abort(Answers::json(404, 'Another edition is served by now.'));
        }

        return $this->send(Edition::directory()."/{$file}", Manifest::digestOf($edition));
    }

    /** What was said over it since. */
    public function said(Request $request, string $file): BinaryFileResponse
    {
        $this->ensureAllowed($request);
        $path = LivePrices::file(Edition::directory()."/{$file}");
        abort_unless(
            $file === Served::of($request)->edition?->file && is_file($path),
            Answers::json(404, 'Nothing was said over this edition.'),
        );

        return $this->send($path, (string) hash_file('sha256', $path));
    }

    public function picture(Request $request, string $name): BinaryFileResponse
    {
        $this->ensureAllowed($request);
        abort_unless(is_file(Pictures::path($name)), Answers::json(404, "There is no picture \"{$name}\"."));

        return $this->send(Pictures::path($name), $name);
    }

    private function ensureAllowed(Request $request): void
    {
        abort_unless(RequireToken::shown($request)->copies, Answers::json(403, 'This token reads; it may not copy editions.'));
    }

    private function send(string $path, string $tag): BinaryFileResponse
    {
        return (new BinaryFileResponse($path, headers: ['Content-Type' => 'application/octet-stream'], public: false))->setEtag($tag);
    }
}
