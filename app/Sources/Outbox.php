<?php

declare(strict_types=1);

namespace App\Sources;

use Illuminate\Support\Carbon;
use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

/** Where e-mail is put down that no server is named for: a file for each (RFC 5322), which a page shows. */
final class Outbox extends AbstractTransport
{
    private const SHOWN = 50;

    public function __toString(): string
    {
        return 'outbox://';
    }

    /** @return list<array{when: Carbon, to: string, subject: string, text: string}> the newest first */
    public static function newest(): array
    {
        $files = array_reverse(glob(self::directory().'/*.eml') ?: []);

        return array_map(self::read(...), array_slice($files, 0, self::SHOWN));
    }

    protected function doSend(SentMessage $message): void
    {
        @mkdir(self::directory(), 0700);
        $path = self::directory().'/'.date('Ymd-His').'-'.bin2hex(random_bytes(3)).'.eml';
        if (@file_put_contents($path, $message->toString()) !== strlen($message->toString())) {
            throw new TransportException("The message cannot be put down in {$path}. Is the disk full?");
        }
    }

    /** @return array{when: Carbon, to: string, subject: string, text: string} */
    private static function read(string $file): array
    {
        [$head, $body] = preg_split('/\r?\n\r?\n/', (string) file_get_contents($file), 2) + ['', ''];
        $headers = iconv_mime_decode_headers($head, ICONV_MIME_DECODE_CONTINUE_ON_ERROR, 'UTF-8') ?: [];
        $said = fn (string $name): string => is_string($headers[$name] ?? null) ? $headers[$name] : '';

        return [
            'when' => Carbon::createFromTimestamp((int) filemtime($file)),
            'to' => $said('To'),
            'subject' => $said('Subject'),
            'text' => strtolower($said('Content-Transfer-Encoding')) === 'quoted-printable' ? quoted_printable_decode($body) : $body,
        ];
    }

    private static function directory(): string
    {
        return config('lokum.data').'/outbox';
    }
}
