<?php

declare(strict_types=1);

namespace App\Sources;

use App\Settings\Shop;
use App\Support\Times;
use Illuminate\Mail\Message;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Mail;
use Throwable;

/** Sends the night's report in the morning to those who want it. One that cannot be sent is tried again at the next minute. */
final class MailReport
{
    private const SENT = 'night report sent';

    private const KEPT_SECONDS = 30 * 86400;

    public function __invoke(): bool
    {
        $shop = Shop::current();
        $last = Cache::get(self::SENT);
        $last = is_int($last) ? Carbon::createFromTimestamp($last) : now()->subMinutes(2);
        if ($shop->reportsTo === [] || ! Times::of($shop->reportsAt)->isDue($last, now(), $shop->timezone)) {
            return false;
        }
        $report = NightReport::since(now()->subDay());
        try {
            if (! $report->isEmpty()) {
                Mail::raw(
                    implode("\n", [...$report->lines(), '', 'More under '.rtrim((string) config('app.url'), '/').'/feeds/runs']),
                    fn (Message $mail) => $mail->to($shop->reportsTo)->subject("{$shop->name}: the night's report"),
                );
            }
        } catch (Throwable $why) {
            report($why);

            return false;
        }
        Cache::put(self::SENT, now()->getTimestamp(), self::KEPT_SECONDS);

        return ! $report->isEmpty();
    }
}
