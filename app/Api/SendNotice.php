<?php

declare(strict_types=1);

namespace App\Api;

use App\Models\Delivery;
use App\Models\Edition;
use App\Models\Receiver;
use App\Support\PublicAddress;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Http;
use Throwable;

/** Tells a receiver that a new edition is served; tried again after ever longer waits, then given up. */
final class SendNotice implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    /** Seconds between one try and the next. */
    public const WAITS = [10, 60, 300, 1800, 7200];

    public int $tries = 1;

    public int $timeout = 30;

    public function __construct(private readonly int $delivery)
    {
    }

    public static function toAll(Edition $edition): void
    {
        foreach (Receiver::query()->get() as $receiver) {
            self::dispatch(
                Delivery::query()->create([
                    'receiver_id' => $receiver->id,
                    'edition_id' => $edition->id,
                    'state' => Delivery::WAITING,
                ])->id,
            );
        }
    }

    public function handle(): void
    {
        $delivery = Delivery::query()
            ->with(['receiver', 'edition'])
            ->find($this->delivery);
        if ($delivery === null || $delivery->state !== Delivery::WAITING) {
            return;
        }
        if ($this->isOvertaken($delivery)) {
            $delivery->update(['state' => Delivery::GIVEN_UP, 'answer' => 'a newer edition was served meanwhile']);

            return;
        }
        $edition = $delivery->edition;
        $body = (string) json_encode([
            'event' => 'edition served',
            'edition' => $edition->id,
            'products' => $edition->products,
            'variants' => $edition->variants,
            'terms' => $edition->terms,
            'published_at' => $edition->created_at->toIso8601String(),
            'delivery' => $delivery->id,
            'sent_at' => now()->toIso8601String(),
        ]);
        try {
            $url = $delivery->receiver->url;
            $isAnywhere = $delivery->receiver->private || Receiver::isStandIn($url);
            $response = Http::timeout(10)
                ->connectTimeout(5)
                ->withHeaders(['Signature' => Receiver::signature($body, $delivery->receiver->secret)])
                ->withoutRedirecting()
                ->withOptions(['curl' => PublicAddress::options($url, $isAnywhere)])
                ->withBody($body, 'application/json')
                ->post($url);
            [$done, $answer] = [$response->successful(), 'answered '.$response->status()];
        } catch (Throwable $failure) {
            [$done, $answer] = [false, mb_strimwidth($failure->getMessage(), 0, 200, '…')];
        }
        $wait = self::WAITS[$delivery->attempts] ?? null;
        $delivery->update([
            'attempts' => $delivery->attempts + 1,
            'answer' => $answer,
            'state' => $done ? Delivery::DELIVERED : ($wait === null ? Delivery::GIVEN_UP : Delivery::WAITING),
        ]);
        if (! ($done || $wait === null)) {
            self::dispatch($delivery->id)->delay($wait);
        }
    }

    /** Notices come in the order of editions: one that has failed does not come behind a newer one. */
    private function isOvertaken(Delivery $delivery): bool
    {
        return Delivery::query()
            ->where('receiver_id', $delivery->receiver_id)
            ->where('edition_id', '>', $delivery->edition_id)
            ->exists();
    }
}
