<?php

declare(strict_types=1);

namespace App\Api;

use App\Door\Answers;
use App\Publishing\PriceRow;
use App\Publishing\SayPrices;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A shop says price and stock, up to a thousand skus at a time, with an answer for each. */
final class PricesController
{
    private const MOST = 1000;

    public function update(Request $request, SayPrices $say): Response
    {
        $token = RequireToken::shown($request);
        if (! $token->says_prices) {
            return Answers::json(403, 'This token only reads. Make one that may say prices and stock.');
        }
        $given = $request->isJson() ? $request->json('products') : null;
        if (! is_array($given) || ! array_is_list($given) || $given === [] || count($given) > self::MOST) {
            return Answers::json(
                422,
                'Send {"products": [{"sku": …, "price": …, "stock": …}, …]}, from one to '.self::MOST.' rows, as JSON.',
            );
        }
        $rows = array_map(PriceRow::from(...), $given);
        $taken = $problems = [];
        foreach ($rows as $i => $row) {
            $problems[$i] = $row->problem ?? (isset($taken[$row->sku]) ? 'This sku stands further up; only that row counts.' : null);
            if ($problems[$i] === null) {
                $taken[$row->sku] = $row;
            }
        }
        $done = $say($token->name, array_values($taken));
        $answers = array_map(
            fn (PriceRow $row, ?string $problem): array => self::answer($row->sku, $problem ?? $done['results'][$row->sku]),
            $rows,
            $problems,
        );
        $refused = count(array_keys(array_column($answers, 'result'), 'refused', true));

        return response()->json(
            [
                'edition' => $done['edition'],
                'seen' => $done['seen'],
                'refused' => $refused,
                'products' => $answers,
            ],
            match ($refused) {
                0 => 200,
                count($answers) => 422,
                default => 207,
            },
            options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /**
     * @param  string  $became  "changed", "same", or why it was refused
     * @return array{sku: string, result: string, problem?: string}
     */
    private static function answer(string $sku, string $became): array
    {
        return in_array($became, ['changed', 'same'], true)
            ? ['sku' => $sku, 'result' => $became]
            : ['sku' => $sku, 'result' => 'refused', 'problem' => $became];
    }
}
