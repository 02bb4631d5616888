<?php

declare(strict_types=1);

namespace App\Storefront;

use App\Editions\Served;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** What stands around every page of the shop: the directories of values that have pages. */
final readonly class ShopFrame
{
    public function __construct(private Request $request)
    {
    }

    public function compose(View $view): void
    {
        $served = Served::of($this->request);
        $view->with('directories', $served->isBeforeTheFirst() ? [] : $served->file()->directories());
    }
}
