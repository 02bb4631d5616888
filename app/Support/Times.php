<?php

declare(strict_types=1);

namespace App\Support;

use Cron\CronExpression;
use DateTimeImmutable;
use DateTimeInterface;
use DateTimeZone;
use InvalidArgumentException;

/**
 * When something happens by itself, said plainly: "every 20 minutes", "05:30", "weekdays 05:30, 17:00", or as a cron expression
 * ("30 5 * * 1-5"). In the shop's time zone; where a clock is put forward over a time, it happens at the next minute there is.
 */
final readonly class Times
{
    private const WEEKDAYS = 'weekdays ';

    /** @param  non-empty-list<CronExpression>  $cron */
    private function __construct(public string $said, private array $cron)
    {
    }

    /** @throws Refused for what is no time */
    public static function of(string $said): self
    {
        $plain = strtolower(trim((string) preg_replace('/\s+/', ' ', $said)));
        try {
            return new self($plain, array_map(fn (string $one): CronExpression => new CronExpression($one), self::cron($plain)));
        } catch (InvalidArgumentException) {
            throw new Refused(
                "\"{$said}\" is no time. Say every 20 minutes, 05:30, weekdays 05:30, 17:00, or a cron expression.",
                'times',
            );
        }
    }

    /** Whether a time has come since it was looked at last; times that were missed count once. */
    public function isDue(?DateTimeInterface $last, DateTimeInterface $now, string $timezone): bool
    {
        foreach ($this->cron as $cron) {
            if ($last === null || self::isBefore($cron, $last, $cron->getPreviousRunDate($now, 0, true, $timezone), $timezone)) {
                return true;
            }
        }

        return false;
    }

    /** A time of day that comes twice, since the clock was put back, has come once. */
    private static function isBefore(CronExpression $cron, DateTimeInterface $last, DateTimeInterface $due, string $timezone): bool
    {
        $hours = (string) $cron->getExpression(CronExpression::HOUR);
        $clock = fn (DateTimeInterface $at): string => DateTimeImmutable::createFromInterface($at)
            ->setTimezone(new DateTimeZone($timezone))
            ->format('Y-m-d H:i');

        return $last < $due && (strpbrk($hours, '*/') !== false || $clock($last) < $clock($due));
    }

    public function next(DateTimeInterface $now, string $timezone): DateTimeInterface
    {
        $next = array_map(fn (CronExpression $cron): DateTimeInterface => $cron->getNextRunDate($now, 0, false, $timezone), $this->cron);

        return min($next);
    }

    /** @return non-empty-list<string> */
    private static function cron(string $said): array
    {
        if (preg_match('/^every (\d{1,2}) minutes?$/D', $said, $part) === 1 && (int) $part[1] >= 1 && (int) $part[1] <= 59) {
            return ["*/{$part[1]} * * * *"];
        }
        if (preg_match('/^every hour$/D', $said) === 1) {
            return ['0 * * * *'];
        }
        $days = str_starts_with($said, self::WEEKDAYS) ? '1-5' : '*';
        $cron = [];
        foreach (explode(',', $days === '*' ? $said : substr($said, strlen(self::WEEKDAYS))) as $time) {
            if (preg_match('/^\s*([01]?\d|2[0-3]):([0-5]\d)\s*$/D', $time, $part) !== 1) {
                return [$said];
            }
            $cron[] = (int) $part[2].' '.(int) $part[1]." * * {$days}";
        }

        return $cron;
    }
}
