<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Editions\Served;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** What the top bar of every room says about what shoppers see. */
final readonly class StatusBar
{
    public function __construct(private Request $request, private CurrentDrift $drift)
    {
    }

    public function compose(View $view): void
    {
        $served = Served::of($this->request);
        $view->with([
            'edition' => $served->edition,
            'problem' => $served->problem,
            'differences' => $this->drift->known($served->edition),
        ]);
    }
}
