<?php

declare(strict_types=1);

use App\Api\SendNotice;
use App\Models\Delivery;
use App\Models\Receiver;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Symfony\Component\Process\Process;

/* What docs/receivers.md tells a receiver to do, run as it stands there, on a notice as it is sent. */

beforeEach(function (): void {
    Queue::fake();
    Http::fake(['*' => Http::response('', 204)]);
    $this->read("sku,Color\nA,Red\n");
    $receiver = Receiver::query()->create(['url' => 'https://93.184.215.14/lokum', 'secret' => 'a secret of the shop, ü']);
    $this->publish();
    (new SendNotice(Delivery::query()->where('receiver_id', $receiver->id)->valueOrFail('id')))->handle();
    /** @var Request $request */
    $request = Http::recorded()->flatten()->first();
    $this->notice = ['body' => $request->body(), 'signature' => $request->header('Signature')[0], 'secret' => $receiver->secret];
});

test('receivers tell a genuine notice by the code that the docs give', function (
    string $language,
    string $shape,
    array $command,
): void {
    preg_match('/```'.$language.'\n(.*?)```/s', (string) file_get_contents(base_path('docs/receivers.md')), $code);
    $says = function (array $notice, int $now) use ($code, $shape, $command): string {
        $program = strtr($shape, [
            'CODE' => $code[1],
            'BODY' => base64_encode($notice['body']),
            'SIGNATURE' => $notice['signature'],
            'SECRET' => $notice['secret'],
            'NOW' => $now,
        ]);
        $run = new Process([...$command, $program]);
        $run->mustRun();

        return trim($run->getOutput());
    };
    $sent = (int) strtotime(json_decode($this->notice['body'], true)['sent_at']);
    expect($says($this->notice, $sent + 2))
        ->toBe('yes')
        ->and($says($this->notice, $sent + 400))
        ->toBe('no')
        ->and($says(['body' => str_replace('"edition":1', '"edition":9', $this->notice['body'])] + $this->notice, $sent))
        ->toBe('no')
        ->and($says(['secret' => 'another'] + $this->notice, $sent))
        ->toBe('no')
        ->and($says(['signature' => 'sha256=00'] + $this->notice, $sent))
        ->toBe('no');
})->with([
    'PHP' => [
        'php',
        'CODE echo isGenuine(base64_decode("BODY"), "SIGNATURE", "SECRET", NOW) ? "yes" : "no";',
        [PHP_BINARY, '-r'],
    ],
    'JavaScript' => [
        'js',
        'CODE console.log(isGenuine(Buffer.from("BODY", "base64").toString(), "SIGNATURE", "SECRET", NOW) ? "yes" : "no")',
        ['node', '-e'],
    ],
    'Python' => [
        'python',
        "CODE\nimport base64\nprint('yes' if is_genuine(base64.b64decode('BODY'), 'SIGNATURE', 'SECRET', NOW) else 'no')",
        ['python3', '-c'],
    ],
]);
