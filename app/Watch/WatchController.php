<?php

declare(strict_types=1);

namespace App\Watch;

use App\Door\Answers;
use App\Editions\Served;
use App\Models\Token;
use App\Publishing\CurrentDrift;
use App\Replicas\ReplicaState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/** For load balancers and whoever watches over a server: whether shoppers can be sent here, and how it goes. */
final class WatchController
{
    /** 200 where an edition can be served, 503 where none can. */
    public function health(Request $request): JsonResponse
    {
        $edition = null;
        try {
            $served = Served::of($request);
            $edition = $served->edition?->id;
            $problem = $edition === null ? $served->problem ?? 'There is no edition yet.' : null;
        } catch (Throwable) {
            $problem = 'The catalog cannot be read.';
        }

        $replica = ReplicaState::isReplica() ? ReplicaState::read() : null;
        if ($replica !== null && $replica->isGivenUp()) {
            $problem ??= $replica->silent();
        }

        return response()->json(
            ($problem === null ? ['status' => 'ok', 'edition' => $edition] : ['status' => 'down', 'why' => $problem]) +
                ($replica === null ? [] : ['heard_seconds_ago' => $replica->silence(), 'problem' => $replica->problem]),
            $problem === null ? 200 : 503,
            ['Cache-Control' => 'no-store'],
        );
    }

    /** In the text format of Prometheus, 0.0.4. */
    public function metrics(Request $request, CurrentDrift $drift): Response
    {
        if (Token::of($request->bearerToken()) === null) {
            return Answers::json(401, 'Show a token: Authorization: Bearer …')->withHeaders(['WWW-Authenticate' => 'Bearer']);
        }
        $served = Served::of($request);
        $text = new MetricsText();
        $text->histogram(
            'lokum_request_duration_seconds',
            'Requests by area and class of status, and how long they took.',
            RequestTally::all(),
            RequestTally::STEPS,
        );
        if ($served->edition !== null) {
            $text->gauge('lokum_edition', 'Number of the edition that shoppers see.', $served->edition->id);
            $text->gauge('lokum_edition_products', 'Products in it.', $served->edition->products);
            $text->gauge('lokum_edition_age_seconds', 'Since it was served.', $served->edition->created_at->diffInSeconds(now()));
            $text->gauge('lokum_prices_said', 'How often prices were said since.', $served->file()->live?->version() ?? 0);
        }
        $silence = ReplicaState::isReplica() ? ReplicaState::read()->silence() : null;
        if ($silence !== null) {
            $text->gauge('lokum_replica_silent_seconds', 'Since the machine with the catalog answered.', $silence);
        }
        $differences = $drift->known($served->edition);
        if ($differences !== null) {
            $text->gauge('lokum_drift_differences', 'Differences between the catalog and the edition.', $differences);
        }
        $queue = Queue::now();
        $text->gauge('lokum_queue_jobs', 'Jobs that wait for the worker, or are at work.', $queue->jobs);
        $text->gauge('lokum_queue_oldest_seconds', 'How long the oldest waits.', $queue->oldest);

        return response($text->text(), 200, ['Content-Type' => 'text/plain; version=0.0.4; charset=utf-8', 'Cache-Control' => 'no-store']);
    }
}
