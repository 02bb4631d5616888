<?php

declare(strict_types=1);

namespace App\Api;

use App\Publishing\Edition;
use App\Refused;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;

/** Tokens for shops that read the edition, receivers that are told of a new one, and a stand-in for such a shop. */
final class OutsideController
{
    /** The stand-in is not a secret; it shows how a receiver checks what comes. */
    public const STAND_IN_SECRET = 'stand-in';

    public function show(): View
    {
        return view(
            'publishing.outside',
            [
                'tokens' => Token::query()->latest('id')->get(),
                'receivers' => Receiver::query()->with(['deliveries' => fn ($query) => $query->limit(5)])->get(),
                'received' => DB::table('received_notices')->orderByDesc('id')->limit(10)->get(),
                'edition' => Edition::current(),
            ],
        );
    }

    public function token(Request $request): RedirectResponse
    {
        $name = trim(mb_substr($request->string('name')->toString(), 0, 100));

        return redirect()
            ->route('outside')
            ->with('secret', Token::make($name === '' ? throw new Refused('Name the shop or program that will use it.', 'name') : $name))
            ->with('done', "Made a token for {$name}.");
    }

    public function removeToken(Token $token): RedirectResponse
    {
        $token->delete();

        return redirect()->route('outside')->with('done', "{$token->name} is not let in any more.");
    }

    public function receiver(Request $request): RedirectResponse
    {
        $standIn = $request->boolean('stand_in');
        $url = $standIn ? route('stand-in') : trim($request->string('url')->toString());
        if (filter_var($url, FILTER_VALIDATE_URL) === false || preg_match('/^https?:\/\//i', $url) !== 1) {
            throw new Refused('An address begins with https:// or http://, for example https://shop.example/lokum.', 'url');
        }
        $secret = $standIn ? self::STAND_IN_SECRET : bin2hex(random_bytes(20));
        Receiver::query()->create(['url' => $url, 'secret' => $secret]);

        return redirect()->route('outside')->with('done', 'Notices go to '.$url.' from now on.')->with('secret', $standIn ? null : $secret);
    }

    public function removeReceiver(Receiver $receiver): RedirectResponse
    {
        $receiver->delete();

        return redirect()->route('outside')->with('done', "No more notices go to {$receiver->url}.");
    }

    public function again(Receiver $receiver): RedirectResponse
    {
        $edition = Edition::current() ?? throw new Refused('There is no edition to tell of yet.');
        SendNotice::dispatch(Delivery::query()->create([
            'receiver_id' => $receiver->id, 'edition_id' => $edition->id, 'state' => Delivery::WAITING,
        ])->id);

        return redirect()->route('outside')->with('done', "A notice of edition {$edition->id} is on its way.");
    }

    /** What a real shop would do with a notice: check the signature, keep it. */
    public function standIn(Request $request): JsonResponse
    {
        $genuine = hash_equals(Receiver::signature($request->getContent(), self::STAND_IN_SECRET), (string) $request->header('Signature'));
        DB::table('received_notices')
            ->insert(['genuine' => $genuine, 'body' => mb_strimwidth(mb_scrub($request->getContent()), 0, 2000), 'created_at' => now()]);

        return response()->json(['received' => $genuine], $genuine ? 200 : 400);
    }
}
