<?php

declare(strict_types=1);

use App\Feeds\FeedFile;
use App\Feeds\FinishReading;
use App\Feeds\ReadingLock;
use App\Feeds\RunReading;
use App\Fill\EditRules;
use App\Fill\RuleForm;
use App\Models\Definition;
use App\Models\FillRule;
use App\Models\Reading;
use App\Models\ReadingState;
use Lokum\Feed\ColumnMap;

/* One reading is one fact, whatever breaks off behind it. */

beforeEach(function (): void {
    $this->actingAs($this->person());
    $this->read("sku,Color\nA,Red\nB,Blue\n", '{"columns": {"Color": {"kind": "choice"}}}');
    file_put_contents($this->data().'/inbox/Tarn.csv', "sku,Color\nC,Green\n");
    $this->post('/feeds', ['inbox' => 'Tarn.csv']);
    $this->reading = Reading::query()->firstOrFail();
    $this->post("/feeds/readings/{$this->reading->id}/check");
});

test('rules that fail behind a reading leave it read, and it says so', function (): void {
    app(EditRules::class)->add(RuleForm::from(['definition' => 'color', 'source' => 'fixed', 'value' => 'Red']));
    FillRule::query()->update(['settings' => '{"value": 5']);
    $this->post("/feeds/readings/{$this->reading->id}/read");
    expect($this->reading->refresh()->state)
        ->toBe(ReadingState::Done)
        ->and($this->reading->message)
        ->toContain('It was read. The fill rules behind it did not run');
    (new RunReading($this->reading->id, new ColumnMap(), false))->failed(new RuntimeException('too late'));
    expect($this->reading->refresh()->state)->toBe(ReadingState::Done);
});

test('rules that a kill cut off run at the next start, and it says so', function (): void {
    $definition = Definition::query()->where('slug', 'color')->firstOrFail();
    $this->post("/feeds/readings/{$this->reading->id}/read");
    FillRule::query()->forceCreate([
        'definition_id' => $definition->id,
        'source' => 'fixed',
        'settings' => ['value' => 'Teal'],
        'scope' => [],
        'position' => 1,
        'paused' => false,
    ]);
    $this->read("sku,Name\nD,Lamp\n");
    $this->reading->update(['rules_wait' => true]);
    app(FinishReading::class)->whatWasCutOff();
    expect($this->reading->refresh()->message)
        ->toContain('have run at the next start')
        ->and($this->reading->rules_wait)
        ->toBeFalse();
});

test(
    'a reading whose process is gone says at once that it broke off, in the list and on Today, and can be done again',
    function (): void {
        $this->reading->update(['state' => ReadingState::Reading]);
        $lock = ReadingLock::hold($this->reading);
        $this->get('/feeds')->assertSee('being read');
        // The process ends without a word: the system frees what it held, and the file stays.
        $path = $this->data()."/feeds/reading-{$this->reading->id}.lock";
        unset($lock);
        expect(is_file($path))->toBeTrue();
        $this->get('/feeds')->assertSee('stopped');
        $this->get('/')->assertSee('was not read')->assertSee('broken off');
        $this->get("/feeds/readings/{$this->reading->id}")->assertSee('Read it again as it was checked');
        $this->post("/feeds/readings/{$this->reading->id}/read")->assertSessionHasNoErrors();
        expect($this->reading->refresh()->state)
            ->toBe(ReadingState::Done)
            ->and(is_file($path))
            ->toBeFalse();
    },
);

test('readings do not depend on where the data directory lies', function (): void {
    expect($this->reading->path)->toStartWith('feeds/')->and(stream_get_contents(FeedFile::ofReading($this->reading)))->toContain('Green');
});
