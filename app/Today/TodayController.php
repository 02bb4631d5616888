<?php

declare(strict_types=1);

namespace App\Today;

use App\Editions\Served;
use App\Feeds\StartReading;
use Illuminate\Http\Request;
use Illuminate\View\View;

final class TodayController
{
    public function __invoke(Request $request, ShowToday $show): View
    {
        StartReading::noteBrokenOff();

        return view('today.index', $show(Served::of($request)));
    }

    public function found(FoundMeanwhile $found): View
    {
        return view('today.found', ['gaps' => $found->gaps(), 'alike' => $found->alike()]);
    }
}
