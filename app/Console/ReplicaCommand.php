<?php

declare(strict_types=1);

namespace App\Console;

use App\Replicas\Follow;
use App\Replicas\ReplicaState;
use App\Replicas\Upstream;
use App\Support\Refused;

final class ReplicaCommand extends Command
{
    protected $signature = 'replica {--from= : address of the machine with the catalog; or LOKUM_REPLICA_FROM}
        {--token= : a token that may copy editions; or LOKUM_REPLICA_TOKEN}
        {--secret= : what notices to this replica are signed with; or LOKUM_REPLICA_SECRET}
        {--listen=127.0.0.1 : IP address of this machine that it listens on; 0.0.0.0: all of them}
        {--port=8081 : where the shop is served}
        {--every=5 : seconds between one question for something new and the next, 1 to 3600}
        {--silence=0 : seconds without an answer after which this replica serves no more; 0: it serves on}
        {--follow : keep the copy up to date and serve nothing, for another web server}
        {--once : bring the copy up to date once, and end}';

    protected $description = 'Serves the shop and the API from copies of another machine\'s editions; without a catalog, in a data '.
        'directory of its own';

    public function handle(Follow $follow): int
    {
        $from = $this->said('from');
        $token = $this->said('token');
        $every = (int) $this->textOption('every');
        if ($from === '' || $token === '') {
            throw new Refused('A replica wants --from and --token: who has the catalog, and a token that may copy editions.');
        }
        if ($every < 1 || $every > 3600) {
            throw new Refused('--every takes 1 to 3600 seconds.');
        }
        if (preg_match('/^\d{1,6}$/D', $this->textOption('silence')) !== 1) {
            throw new Refused('--silence takes seconds, or 0.');
        }
        if (filter_var($this->textOption('listen'), FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) === false) {
            throw new Refused('--listen takes an IP address of this machine, for example 10.0.0.7.');
        }
        $upstream = new Upstream($from, $token);
        Follow::ensureRoom();
        config(['lokum.replica.from' => $from]);

        return match (true) {
            (bool) $this->option('once') => $this->once($follow, $upstream),
            (bool) $this->option('follow') => $this->follow($follow, $upstream, $every),
            default => $this->serve($from, $token, $every),
        };
    }

    private function once(Follow $follow, Upstream $upstream): int
    {
        $lock = Follow::lock();
        $this->line($follow->once($upstream) ?? 'Nothing is new.');
        $lock->release();

        return self::SUCCESS;
    }

    private function follow(Follow $follow, Upstream $upstream, int $every): int
    {
        $lock = Follow::lock();
        $isWanted = true;
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, function () use (&$isWanted): void {
                $isWanted = false;
            });
        }
        $follow->on($upstream, $every, function () use (&$isWanted): bool {
            return $isWanted;
        }, fn (string $what) => $this->line(date('H:i:s')." {$what}"));
        $lock->release();

        return self::SUCCESS;
    }

    private function serve(string $from, string $token, int $every): int
    {
        // What another keeps up to date is served by that one.
        Follow::lock()->release();
        // Known as a replica's from its first moment on, so that no catalog is begun here.
        ReplicaState::read()->write();

        return Server::with(
            (int) $this->option('port'),
            [
                'LOKUM_REPLICA_FROM' => $from,
                'LOKUM_REPLICA_TOKEN' => $token,
                'LOKUM_REPLICA_SECRET' => $this->said('secret'),
                'LOKUM_REPLICA_LISTEN' => $this->textOption('listen'),
                'LOKUM_REPLICA_SILENCE' => $this->textOption('silence') ?: (string) config('lokum.replica.silence'),
            ],
            [[PHP_BINARY, base_path('bin/console.php'), 'replica', '--follow', "--every={$every}"]],
            fn (string $address) => $this->line("What {$from} serves is served at {$address}/shop.\nCtrl C stops this replica."),
            $this->textOption('listen'),
        );
    }

    /** An option, or what the environment says. */
    private function said(string $option): string
    {
        return $this->textOption($option) ?: (string) config("lokum.replica.{$option}");
    }
}
