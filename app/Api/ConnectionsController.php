<?php

declare(strict_types=1);

namespace App\Api;

use App\History\Ledger;
use App\Models\Delivery;
use App\Models\Edition;
use App\Models\ReceivedNotice;
use App\Models\Receiver;
use App\Models\Room;
use App\Models\Token;
use App\Support\PublicAddress;
use App\Support\Refused;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Tokens for shops that read the edition, receivers that are told of a new one, and a stand-in for such a shop. */
final class ConnectionsController
{
    /** Notices of the stand-in that are kept. */
    private const KEPT = 50;

    /** Days that a token may be made for. */
    public const DAYS = [30, 90, 365];

    public function __construct(private readonly Ledger $ledger)
    {
    }

    /** The stand-in is not a secret; it shows how a receiver checks what comes. */
    public const STAND_IN_SECRET = 'stand-in';

    public function show(): View
    {
        return view('publishing.outside', [
            'tokens' => Token::query()->latest('id')->get(),
            'receivers' => Receiver::query()
                ->with(['deliveries' => fn ($query) => $query->limit(5)])
                ->get(),
            'received' => ReceivedNotice::query()->orderByDesc('id')->limit(10)->get(),
            'edition' => Edition::current(),
        ]);
    }

    public function token(Request $request): RedirectResponse
    {
        $name = trim(mb_substr($request->string('name')->toString(), 0, 100));
        if ($name === '') {
            throw new Refused('Name the shop or program that will use it.', 'name');
        }
        $days = in_array($request->integer('days'), self::DAYS, true) ? $request->integer('days') : null;
        $saysPrices = $request->boolean('says_prices');
        $copies = $request->boolean('copies');
        $secret = Token::issue($name, $days, $saysPrices, $copies);
        $this->ledger->note(
            Room::Access,
            "Made a token for {$name}, ".
                ($days === null ? 'without an end' : "for {$days} days").
                ($saysPrices ? ', which may say prices and stock' : '').
                ($copies ? ', which may copy editions' : ''),
        );

        return redirect()
            ->route('outside')
            ->with('secret', $secret)
            ->with('done', "Made a token for {$name}.");
    }

    public function removeToken(Token $token): RedirectResponse
    {
        $token->delete();
        $this->ledger->note(Room::Access, "Took away the token of {$token->name}");

        return redirect()
            ->route('outside')
            ->with('done', "{$token->name} is not let in any more.");
    }

    public function receiver(Request $request): RedirectResponse
    {
        $standIn = $request->boolean('stand_in') && config('lokum.demo');
        $url = $standIn ? url(route('stand-in', absolute: false)) : trim($request->string('url')->toString());
        $isPrivate = $request->boolean('private');
        PublicAddress::options($url, $isPrivate || Receiver::isStandIn($url));
        $secret = $standIn ? self::STAND_IN_SECRET : bin2hex(random_bytes(20));
        Receiver::query()->create(['url' => $url, 'secret' => $secret, 'private' => $isPrivate]);
        $this->ledger->note(Room::Access, "Notices go to {$url}".($isPrivate ? ', in our own network' : ''));

        return redirect()
            ->route('outside')
            ->with('done', 'Notices go to '.$url.' from now on.')
            ->with('secret', $standIn ? null : $secret);
    }

    public function removeReceiver(Receiver $receiver): RedirectResponse
    {
        $receiver->delete();
        $this->ledger->note(Room::Access, "No more notices go to {$receiver->url}");

        return redirect()
            ->route('outside')
            ->with('done', "No more notices go to {$receiver->url}.");
    }

    public function again(Receiver $receiver): RedirectResponse
    {
        $edition = Edition::current() ?? throw new Refused('There is no edition to tell of yet.');
        SendNotice::dispatch(
            Delivery::query()->create([
                'receiver_id' => $receiver->id,
                'edition_id' => $edition->id,
                'state' => Delivery::WAITING,
            ])->id,
        );

        return redirect()
            ->route('outside')
            ->with('done', "A notice of edition {$edition->id} is on its way.");
    }

    /** What a real shop would do with a notice: check the signature, keep it. */
    public function standIn(Request $request): JsonResponse
    {
        abort_unless((bool) config('lokum.demo'), 404);
        $genuine = hash_equals(
            Receiver::signature($request->getContent(), self::STAND_IN_SECRET),
            (string) $request->header('Signature'),
        );
        $kept = ReceivedNotice::query()->create([
            'genuine' => $genuine,
            'body' => mb_strimwidth(mb_scrub($request->getContent()), 0, 2000),
            'created_at' => now(),
        ]);
        ReceivedNotice::query()
            ->where('id', '<=', $kept->id - self::KEPT)
            ->delete();

        return response()->json(['received' => $genuine], $genuine ? 200 : 400);
    }
}
