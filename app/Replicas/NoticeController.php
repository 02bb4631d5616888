<?php

declare(strict_types=1);

namespace App\Replicas;

use App\Models\Receiver;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Throwable;

/** A replica is told of a new edition as every receiver is (docs/receivers.md), and asks for it at once. */
final class NoticeController
{
    /** Seconds. */
    private const OLDEST = 300;

    public function __invoke(Request $request): JsonResponse
    {
        $secret = (string) config('lokum.replica.secret');
        $isGenuine =
            $secret !== '' &&
            hash_equals(Receiver::signature($request->getContent(), $secret), (string) $request->header('Signature')) &&
            self::isRecent($request->json('sent_at'));
        if ($isGenuine) {
            ReplicaState::poke();
        }

        return response()->json(['received' => $isGenuine], $isGenuine ? 200 : 400);
    }

    private static function isRecent(mixed $sent): bool
    {
        try {
            return is_string($sent) && abs(Carbon::parse($sent)->diffInSeconds(now())) <= self::OLDEST;
        } catch (Throwable) {
            return false;
        }
    }
}
