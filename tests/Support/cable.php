<?php

declare(strict_types=1);

/*
 * The cable between two machines: what comes to one port goes to another. So many times it is torn after so many bytes of an answer.
 * Every line of a request that asks for a part is written down.
 *
 *     php cable.php PORT TO-PORT [BYTES TIMES LOG]
 */

[, $port, $to] = $argv;
$bytes = (int) ($argv[3] ?? PHP_INT_MAX);
$times = (int) ($argv[4] ?? 0);
$log = $argv[5] ?? '/dev/null';
$server = stream_socket_server("tcp://127.0.0.1:{$port}") ?: exit(1);
/** @var array<int, array{0: resource, 1: resource, 2: bool, 3: int}> $pairs from, to, whether it is the answer, bytes so far */
$pairs = [];
for (; ;) {
    $ready = [$server, ...array_column($pairs, 0)];
    $none = null;
    stream_select($ready, $none, $none, null);
    foreach ($ready as $from) {
        if ($from === $server) {
            $near = stream_socket_accept($server);
            $far = $near === false ? false : @stream_socket_client("tcp://127.0.0.1:{$to}");
            if ($near === false || $far === false) {
                continue;
            }
            $pairs[(int) $near] = [$near, $far, false, 0];
            $pairs[(int) $far] = [$far, $near, true, 0];

            continue;
        }
        if (! isset($pairs[(int) $from])) {
            continue;
        }
        [, $into, $isAnswer, $sofar] = $pairs[(int) $from];
        $what = (string) fread($from, 65536);
        $sofar += strlen($what);
        $pairs[(int) $from] = [$from, $into, $isAnswer, $sofar];
        if (! $isAnswer && preg_match('/^range: .*/mi', $what, $asked) === 1) {
            file_put_contents($log, trim($asked[0])."\n", FILE_APPEND);
        }
        $isTorn = $isAnswer && $times > 0 && $sofar > $bytes;
        if (! $isTorn && $what !== '') {
            for ($left = $what; $left !== '' && ($sent = @fwrite($into, $left)) !== false;) {
                $left = substr($left, $sent);
            }

            continue;
        }
        $times -= $isTorn ? 1 : 0;
        unset($pairs[(int) $from], $pairs[(int) $into]);
        fclose($from);
        fclose($into);
    }
}
