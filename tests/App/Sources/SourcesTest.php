<?php

declare(strict_types=1);

use App\Models\Change;
use App\Models\Edition;
use App\Models\Feed;
use App\Models\Item;
use App\Models\Reading;
use App\Models\ReadingState;
use App\Models\Role;
use App\Models\Run;
use App\Models\RunState;
use App\Publishing\ServeAgain;
use App\Settings\SaveShop;
use App\Sources\MailReport;
use App\Sources\NightReport;
use App\Sources\Outbox;
use App\Sources\RunDue;
use App\Sources\RunFeed;
use App\Sources\Source;
use App\Support\Refused;
use App\Support\Times;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Http;

/* Deliveries that come by themselves: from the inbox and from an address, judged, read or held, and published within bounds. */

function goods(int $rows, float $times = 1.0, string $heading = 'Color'): string
{
    $lines = array_map(fn (int $i): string => "S-{$i},Tea {$i},Tea,".(10 + $i % 7) * $times.',Green '.$i % 5, range(1, $rows));

    return "sku,name,category,price,{$heading}\n".implode("\n", $lines)."\n";
}

/** @param  array<string, mixed>  $source */
function feed_with(array $source, string $times = 'every 20 minutes', bool $byItself = true): Feed
{
    $feed = Feed::query()->where('name', 'Leaf')->sole();
    $feed->update(['source' => Source::from($source)->toArray(), 'times' => $times, 'by_itself' => $byItself]);

    return $feed;
}

function arrives(string $name, string $bytes, string $data): void
{
    file_put_contents("{$data}/inbox/{$name}", $bytes);
    touch("{$data}/inbox/{$name}", time() - 60);
}

beforeEach(fn () => $this->read(goods(200), feed: 'Leaf'));

test('files of the inbox that match are taken one after the other, each once, and put aside', function (): void {
    feed_with(['kind' => 'inbox', 'pattern' => 'leaf-*.csv']);
    arrives('leaf-1.csv', goods(203), $this->data());
    arrives('leaf-2.csv', goods(205), $this->data());
    arrives('other.csv', goods(3), $this->data());
    $runs = app(RunDue::class)();
    expect(array_column($runs, 'state'))
        ->toBe([RunState::Read, RunState::Read])
        ->and($runs[0]->said)
        ->toBe('203 rows: 3 new.')
        ->and(Item::query()->count())
        ->toBe(205)
        ->and(array_map(basename(...), glob("{$this->data()}/inbox/*.csv") ?: []))
        ->toBe(['other.csv'])
        ->and(glob("{$this->data()}/inbox/taken/*") ?: [])
        ->toHaveCount(2);
    // The same once more, under another name.
    arrives('leaf-3.csv', goods(205), $this->data());
    Feed::query()->update(['looked_at' => now()->subHour()]);
    expect(array_column(app(RunDue::class)(), 'state'))->toBe([RunState::Nothing])->and(Reading::query()->count())->toBe(2);
});

test('what is beyond the bounds is held with its reasons, and read or put aside by somebody', function (): void {
    $feed = feed_with(['kind' => 'inbox', 'pattern' => 'leaf-*.csv']);
    arrives('leaf-0.csv', goods(200), $this->data());
    app(RunFeed::class)($feed);
    arrives('leaf-1.csv', goods(90), $this->data());
    $run = app(RunFeed::class)($feed->refresh());
    expect([$run->state, Item::query()->count()])
        ->toBe([RunState::Held, 200])
        ->and($run->said)
        ->toContain('90 rows, at least')
        ->and($run->reading?->held)
        ->toHaveCount(1);
    $this->actingAs($this->person());
    $this->get('/')->assertSee('Leaf is held')->assertSee('90 rows, at least');
    $this->post("/feeds/readings/{$run->reading_id}/aside")->assertRedirect();
    expect(Reading::query()->find($run->reading_id)?->state)->toBe(ReadingState::Aside);
    $this->get('/')->assertDontSee('Leaf is held');

    arrives('leaf-2.csv', goods(200, 100), $this->data());
    $run = app(RunFeed::class)($feed->refresh());
    expect($run->said)->toContain('200 prices become less than half or more than twice');
    $this->post("/feeds/readings/{$run->reading_id}/read")->assertRedirect();
    expect(Item::query()->where('sku', 'S-1')->value('price'))->toBe(1100.0);

    // Nobody has said that it may.
    $feed->refresh()->update(['by_itself' => false]);
    arrives('leaf-3.csv', goods(201, 100), $this->data());
    expect(app(RunFeed::class)($feed)->said)->toContain('nobody has said');
    // And a column under another name is a heading that nobody knows.
    $feed->refresh()->update(['by_itself' => true]);
    arrives('leaf-4.csv', goods(200, 100, 'Shade of leaf'), $this->data());
    expect(app(RunFeed::class)($feed)->said)->toContain('1 heading is new');
});

test('an address is asked with what is known of it, and what is new is taken', function (): void {
    $feed = feed_with(['user' => 'me'] + ['kind' => 'address', 'url' => 'http://10.1.2.3/leaf.csv.gz', 'private' => true]);
    $feed->update(['secret' => 'sesame']);
    Http::fakeSequence()
        ->push((string) gzencode(goods(202)), 200, ['ETag' => '"a"', 'Last-Modified' => 'Fri, 27 Nov 2026 05:00:00 GMT'])
        ->push('', 304)
        ->push((string) gzencode(goods(202), 1), 200, ['ETag' => '"b"'])
        ->push('gone', 410)
        ->push('', 200);
    $states = [];
    for ($i = 0; $i < 5; $i++) {
        $states[] = app(RunFeed::class)($feed->refresh());
    }
    expect(array_column($states, 'state'))
        ->toBe([RunState::Read, RunState::Nothing, RunState::Nothing, RunState::Failed, RunState::Failed])
        ->and($states[3]->said)
        ->toBe('The address answers 410.')
        ->and($states[4]->said)
        ->toBe('What came is empty.')
        ->and($feed->refresh()->failures)
        ->toBe(2)
        ->and(glob("{$this->data()}/feeds/fetch-*"))
        ->toBe([]);
    Http::assertSent(fn ($request): bool => $request->hasHeader('If-None-Match', '"a"') && $request->hasHeader(
        'Authorization',
        'Basic '.base64_encode('me:sesame'),
    ));
    // The secret is kept so that a copy of the catalog does not tell it.
    expect(DB::table('feeds')->value('secret'))->not->toContain('sesame');
});

test('private addresses are refused unless a manager allows them', function (): void {
    $feed = Feed::query()->where('name', 'Leaf')->sole();
    $put = fn (Role $role, string $url) => $this->actingAs($this->person($role))->put("/feeds/sources/{$feed->id}", [
        'kind' => 'address',
        'url' => $url,
        'private' => '1',
        'version' => $feed->refresh()->version,
    ]);
    $put(Role::Editor, 'http://10.0.0.1/leaf.csv')->assertSessionHasErrors('private');
    $put(Role::Manager, 'http://10.0.0.1/leaf.csv')->assertSessionHasNoErrors();
    // An editor may go on with that one, and go nowhere else in the network.
    $put(Role::Editor, 'http://10.0.0.1/leaf.csv')->assertSessionHasNoErrors();
    $put(Role::Editor, 'http://10.0.0.1/admin')->assertSessionHasErrors('private');
    $put(Role::Viewer, 'http://10.0.0.1/leaf.csv')->assertForbidden();
    expect(fn () => Source::from(['kind' => 'address', 'url' => 'http://127.0.0.1/x.csv']))
        ->toThrow(Refused::class, 'private network')
        ->and(fn () => Source::from(['kind' => 'address', 'url' => 'file:///etc/passwd']))
        ->toThrow(Refused::class, 'begins with')
        ->and(fn () => Source::from(['kind' => 'inbox', 'pattern' => '../*']))
        ->toThrow(Refused::class, 'Say which files');
});

test('a source that fails waits longer each time, and is left alone after ten times', function (): void {
    $feed = feed_with(['kind' => 'address', 'url' => 'http://10.1.2.3/leaf.csv', 'private' => true], '05:30');
    Http::fake(['*' => Http::response('', 500)]);
    Carbon::setTestNow('2026-11-27 05:31:00');
    for ($i = 1; $i <= RunFeed::MOST_FAILURES; $i++) {
        $runs = app(RunDue::class)();
        expect($runs)->toHaveCount(1)->and(app(RunDue::class)())->toBe([]);
        Carbon::setTestNow(now()->addMinutes(min(2 ** $i, 360)));
    }
    expect($runs[0]->said)->toContain('10th time in a row')->and(app(RunDue::class)())->toBe([]);
    Carbon::setTestNow(now()->addDays(3));
    expect(app(RunDue::class)())->toBe([]);
    Carbon::setTestNow();
});

test('a run that was broken off is noted, and its file is taken up again', function (): void {
    $feed = feed_with(['kind' => 'inbox', 'pattern' => 'leaf-*.csv']);
    arrives('leaf-1.csv', goods(201), $this->data());
    $lost = Run::query()->create(['feed_id' => $feed->id, 'state' => RunState::Running, 'started_at' => now()]);
    expect(app(RunFeed::class)($feed)->state)
        ->toBe(RunState::Read)
        ->and($lost->refresh()->said)
        ->toContain('broken off');
});

test('it publishes by itself where shoppers lose nothing, and else says why not', function (): void {
    app(App\Lineups\EditLineup::class)->several(['color', 'price']);
    $this->publish();
    app(SaveShop::class)(['publishes' => 'after readings', 'loss' => 20], 0);
    feed_with(['kind' => 'inbox', 'pattern' => 'leaf-*.csv'])->update(['whole' => true, 'gone' => 'out']);
    arrives('leaf-1.csv', goods(203), $this->data());
    expect(array_column(app(RunDue::class)(), 'state'))
        ->toBe([RunState::Read, RunState::Published])
        ->and(Edition::query()->count())
        ->toBe(2);
    // Half of what is green goes out of the shop, within what the feed lets pass.
    Feed::query()->update(['looked_at' => null, 'bounds' => ['least_rows' => 1]]);
    arrives('leaf-2.csv', goods(150), $this->data());
    $runs = app(RunDue::class)();
    expect(array_column($runs, 'state'))
        ->toBe([RunState::Read, RunState::Unpublished])
        ->and($runs[1]->said)
        ->toContain('53 of 203 products go')
        ->and(Edition::query()->count())
        ->toBe(2);
});

test('times are said plainly, in the zone of the shop, and missed ones count once', function (): void {
    $at = fn (string $time): Carbon => Carbon::parse($time, 'UTC');
    $due = fn (string $said, ?string $last, string $now, string $zone = 'UTC'): bool => Times::of($said)
        ->isDue($last === null ? null : $at($last), $at($now), $zone);
    expect($due('05:30', '2026-11-26 05:30:10', '2026-11-27 05:29:59'))
        ->toBeFalse()
        ->and($due('05:30', '2026-11-26 05:30:10', '2026-11-27 05:30:00'))
        ->toBeTrue()
        ->and($due('05:30', '2026-11-20 05:30:10', '2026-11-27 05:00:00'))
        ->toBeTrue()
        ->and($due('05:30', '2026-11-27 04:29:00', '2026-11-27 04:31:00', 'Europe/Berlin'))
        ->toBeTrue()
        ->and($due('weekdays 05:30, 17:00', '2026-11-27 17:01:00', '2026-11-29 23:00:00'))
        ->toBeFalse()
        ->and($due('every 20 minutes', '2026-11-27 10:01:00', '2026-11-27 10:19:00'))
        ->toBeFalse()
        ->and($due('every 20 minutes', '2026-11-27 10:01:00', '2026-11-27 10:20:00'))
        ->toBeTrue()
        // The clock goes from 2 to 3: half past two is not left out, nor does half past two come twice in October.
        ->and($due('02:30', '2026-03-28 12:00:00', '2026-03-29 12:00:00', 'Europe/Berlin'))
        ->toBeTrue()
        ->and($due('02:30', '2026-10-25 00:31:00', '2026-10-25 20:00:00', 'Europe/Berlin'))
        ->toBeFalse();
    foreach (['', 'soon', '25:00', '* * *', 'weekdays'] as $none) {
        expect(fn () => Times::of($none))->toThrow(Refused::class);
    }
});

test('the morning brings the report by e-mail to those who want it, once', function (): void {
    $this->actingAs($this->person());
    $this->put('/settings', ['reports_to' => 'me'])->assertSessionHasErrors('reports_to');
    app(SaveShop::class)(['reports_to' => 'maren@shop.example, tobias@shop.example', 'name' => 'Käse & Tee'], 0);
    feed_with(['kind' => 'inbox', 'pattern' => 'leaf-*.csv']);
    Carbon::setTestNow('2026-11-27 05:31:00');
    arrives('leaf-1.csv', goods(203), $this->data());
    app(RunDue::class)();
    $mail = app(MailReport::class);
    expect($mail())->toBeFalse();
    Carbon::setTestNow('2026-11-27 07:00:20');
    expect($mail())->toBeTrue()->and($mail())->toBeFalse();
    Carbon::setTestNow();
    $sent = Outbox::newest();
    expect($sent)
        ->toHaveCount(1)
        ->and($sent[0]['to'])
        ->toBe('maren@shop.example, tobias@shop.example')
        ->and($sent[0]['subject'])
        ->toBe('Käse & Tee: the night\'s report')
        ->and($sent[0]['text'])
        ->toContain('Leaf: 203 rows: 3 new.');
    $this->get('/feeds/outbox')->assertSee('203 rows: 3 new')->assertSee('tobias@shop.example');
});

test('what stops for another reason leaves the file where it is, and waits longer each time', function (): void {
    $feed = feed_with(['kind' => 'inbox', 'pattern' => 'leaf-*.csv']);
    arrives('leaf-1.csv', goods(204), $this->data());
    DB::statement("CREATE TRIGGER full BEFORE INSERT ON items BEGIN SELECT RAISE(ABORT, 'the disk is full'); END");
    foreach ([1, 2] as $times) {
        $run = app(RunFeed::class)($feed->refresh());
        expect([$run->state, $run->said, $run->reading_id])
            ->toBe([RunState::Failed, 'It stopped; the newest log in storage/logs says why.', null])
            ->and([$feed->refresh()->failures, $feed->seen])
            ->toBe([$times, null])
            ->and(glob("{$this->data()}/inbox/leaf-1.csv"))
            ->toHaveCount(1);
    }
    DB::statement('DROP TRIGGER full');
    expect(app(RunFeed::class)($feed->refresh())->state)
        ->toBe(RunState::Read)
        ->and([Item::query()->count(), $feed->refresh()->failures])
        ->toBe([204, 0]);
});

test('a publication that stops is a failed run, and one that was broken off is noted', function (): void {
    app(SaveShop::class)(['publishes' => 'after readings'], 0);
    app(App\Lineups\EditLineup::class)->several(['color', 'price']);
    $this->publish();
    feed_with(['kind' => 'inbox', 'pattern' => 'leaf-*.csv']);
    $lost = Run::begin(null);
    DB::statement("CREATE TRIGGER full BEFORE INSERT ON editions BEGIN SELECT RAISE(ABORT, 'the disk is full'); END");
    arrives('leaf-1.csv', goods(203), $this->data());
    $runs = app(RunDue::class)();
    expect(array_column($runs, 'state'))
        ->toBe([RunState::Read, RunState::Failed])
        ->and($lost->refresh()->said)
        ->toBe('It was broken off.')
        ->and(glob(Edition::directory().'/edition-*'))
        ->toHaveCount(1)
        ->and(Edition::current()?->products)
        ->toBe(200);
    DB::statement('DROP TRIGGER full');
});

test('a password is told to no other machine than it was given for', function (): void {
    $feed = Feed::query()->where('name', 'Leaf')->sole();
    $this->actingAs($this->person());
    $put = fn (array $form) => $this->put("/feeds/sources/{$feed->id}", $form + [
        'kind' => 'address',
        'url' => 'http://10.0.0.1/leaf.csv',
        'private' => '1',
        'version' => $feed->refresh()->version,
    ])->assertSessionHasNoErrors();
    $put(['secret' => 'sesame']);
    $put(['url' => 'http://10.0.0.1/other.csv', 'secret' => '']);
    expect($feed->refresh()->secret)->toBe('sesame');
    $put(['url' => 'http://10.0.0.2/leaf.csv', 'secret' => ''])->assertSessionHas('done', fn (string $said): bool => str_contains(
        $said,
        'its password is forgotten',
    ));
    expect($feed->refresh()->secret)->toBeNull();
    $put(['url' => 'http://10.0.0.2/leaf.csv', 'secret' => 'melon']);
    $put(['url' => 'http://10.0.0.2/leaf.csv', 'no_secret' => '1']);
    expect($feed->refresh()->secret)->toBeNull();
});

test('bounds that are none are refused beside their field, and nothing else is saved', function (): void {
    $feed = Feed::query()->where('name', 'Leaf')->sole();
    $this->actingAs($this->person());
    $this->put("/feeds/sources/{$feed->id}", [
        'kind' => 'inbox',
        'pattern' => 'leaf*',
        'version' => $feed->version,
        'own_bounds' => '1',
        'bounds' => ['new' => 'many'],
    ])->assertSessionHasErrors(['bounds.new' => 'The bound of new is a whole number from 0, or empty for any; "many" is not.']);
    expect($feed->refresh()->source)->toBeNull();
});

test('the report tells hours of the shop, and of what went out only what no feed sends', function (): void {
    app(SaveShop::class)(['timezone' => 'Asia/Kolkata'], 0);
    Run::query()->create([
        'state' => RunState::Published,
        'said' => 'Published edition 4: nothing else.',
        'started_at' => now()->setTime(1, 0),
    ]);
    Run::begin(Feed::query()->sole())->end(RunState::Nothing, 'Nothing new has come.');
    Item::query()->where('sku', 'S-1')->update(['out_since' => now(), 'out_by' => App\Models\Origin::HAND]);
    $lines = NightReport::since(now()->startOfDay())->lines();
    expect($lines)->toBe(['06:30 Publishing: Published edition 4: nothing else.', '1 time nothing new had come.']);
    Item::query()->where('sku', 'S-2')->update(['out_since' => now(), 'out_by' => Feed::query()->sole()->id]);
    expect(NightReport::since(now()->startOfDay())->lines()[2])
        ->toBe('1 product went out of the shop, since no feed sends them any more.');
});

test('History tells what happened by itself from what somebody asked for, one job after the other in one worker', function (): void {
    $feed = feed_with(['kind' => 'inbox', 'pattern' => 'leaf-*.csv']);
    $person = $this->person();
    $last = fn (): string => Change::query()->latest('id')->firstOrFail()->who();
    arrives('leaf-1.csv', goods(203), $this->data());
    $this->actingAs($person)->post("/feeds/sources/{$feed->id}/run")->assertRedirect();
    expect($last())->toBe($person->name);
    Auth::forgetUser();
    // A worker that was left with somebody signed in.
    Auth::onceUsingId($person->id);
    arrives('leaf-2.csv', goods(205), $this->data());
    Feed::query()->update(['looked_at' => now()->subHour()]);
    app(RunDue::class)();
    expect($last())->toBe('by itself')->and(Auth::id())->toBe($person->id);
    Auth::forgetUser();
    $this->read(goods(206), feed: 'Leaf');
    expect($last())->toBe('command line');
});

test('somebody plans a publication, and it is published then for them, within the bounds or whatever is lost', function (): void {
    app(App\Lineups\EditLineup::class)->several(['color', 'price']);
    $this->publish();
    app(SaveShop::class)(['timezone' => 'Europe/Vienna'], 0);
    $person = $this->person();
    $this->actingAs($person);
    Carbon::setTestNow('2026-12-01 02:00:00');
    $plan = fn (string $at, array $more = []) => $this->post('/publishing/planned', ['at' => $at] + $more);
    foreach (['', 'soon', '2026-12-01T02:59', '2026-13-40T10:00', '2028-01-01T10:00'] as $none) {
        $plan($none)->assertSessionHasErrors('at');
    }
    $plan('2026-12-01T06:00')->assertSessionHasNoErrors();
    $this->get('/publishing')->assertOk()->assertSee('unless shoppers lose more');
    app(App\Lineups\EditLineup::class)->drop('price');
    Auth::forgetUser();
    Carbon::setTestNow('2026-12-01 04:59:00');
    expect(app(RunDue::class)())->toBe([]);
    Carbon::setTestNow('2026-12-01 05:00:00');
    $runs = app(RunDue::class)();
    expect($runs[0]->state)->toBe(RunState::Unpublished)->and($runs[0]->said)->toContain('the filter Price goes');
    expect(app(RunDue::class)())->toBe([]);
    $this->actingAs($person);
    $plan('2026-12-01T07:00', ['anyway' => 1])->assertSessionHasNoErrors();
    Auth::forgetUser();
    Carbon::setTestNow('2026-12-01 06:01:00');
    expect(array_column(app(RunDue::class)(), 'state'))
        ->toBe([RunState::Published])
        ->and(Change::query()->latest('id')->firstOrFail()->who())
        ->toBe($person->name);
    // Called off, nothing happens.
    $this->actingAs($person);
    $plan('2026-12-01T08:00')->assertSessionHasNoErrors();
    $this->delete('/publishing/planned')->assertSessionHas('done');
    Carbon::setTestNow('2026-12-02 08:00:00');
    expect(app(RunDue::class)())->toBe([]);
    Carbon::setTestNow();
    $this->actingAs($this->person(Role::Viewer))->post('/publishing/planned', ['at' => '2027-01-01T10:00'])->assertForbidden();
});

test('after somebody went back to an edition nothing is published by itself until somebody publishes', function (): void {
    app(App\Lineups\EditLineup::class)->several(['color', 'price']);
    $this->publish();
    app(SaveShop::class)(['publishes' => 'after readings', 'loss' => 100], 0);
    feed_with(['kind' => 'inbox', 'pattern' => 'leaf-*.csv']);
    $night = function (int $rows): Run {
        Feed::query()->update(['looked_at' => null, 'bounds' => ['least_rows' => 1]]);
        arrives("leaf-{$rows}.csv", goods($rows), $this->data());
        $runs = app(RunDue::class)();

        return $runs[count($runs) - 1];
    };
    expect($night(203)->state)->toBe(RunState::Published);
    app(ServeAgain::class)(Edition::query()->findOrFail(1), 'Prices were wrong');
    $held = $night(205);
    expect($held->state)
        ->toBe(RunState::Unpublished)
        ->and($held->said)
        ->toContain('somebody went back to edition 1')
        ->and(Edition::current()?->id)
        ->toBe(3);
    $this->publish();
    expect($night(207)->state)->toBe(RunState::Published);
});
