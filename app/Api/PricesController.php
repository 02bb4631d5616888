<?php

declare(strict_types=1);

namespace App\Api;

use App\Door\Answers;
use App\Models\Token;
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
        $token = Token::of($request->bearerToken());
        if ($token === null || ! $token->says_prices) {
            return Answers::json(403, 'This token only reads. Make one that may say prices and stock.');
        }
        $given = $request->isJson() ? $request->json()->all() : [];
        $products = $given['products'] ?? null;
        if (! is_array($products) || ! array_is_list($products) || $products === [] || count($products) > self::MOST) {
            return Answers::json(
                422,
                'Send {"products": [{"sku": …, "price": …, "stock": …}, …]}, from one to '.self::MOST.' rows, as JSON.',
            );
        }
        $rows = [];
        $answers = [];
        foreach ($products as $i => $one) {
            $row = PriceRow::from($one);
            $answers[$i] = ['sku' => $row->sku, 'result' => 'refused', 'problem' => $row->problem];
            if (isset($rows[$row->sku])) {
                $answers[$i]['problem'] = 'This sku stands further up as well; only that row counts.';
            } elseif ($row->problem === null) {
                $rows[$row->sku] = $row;
                $answers[$i] = null;
            }
        }
        $done = $rows === [] ? ['edition' => null, 'seen' => 0, 'results' => []] : $say($token->name, array_values($rows));
        foreach ($answers as $i => $answer) {
            $sku = PriceRow::from($products[$i])->sku;
            $result = $done['results'][$sku] ?? 'refused';
            $isDone = in_array($result, ['changed', 'same'], true);
            $answers[$i] = $answer ?? [
                'sku' => $sku,
                'result' => $isDone ? $result : 'refused',
                'problem' => $isDone ? null : $result,
            ];
        }
        $refused = count(array_filter($answers, fn (array $answer): bool => $answer['result'] === 'refused'));

        return response()->json(
            [
                'edition' => $done['edition'],
                'seen' => $done['seen'],
                'refused' => $refused,
                'products' => array_map(
                    fn (array $answer): array => array_filter($answer, fn (mixed $part): bool => $part !== null),
                    array_values($answers),
                ),
            ],
            match ($refused) {
                0 => 200,
                count($answers) => 422,
                default => 207,
            },
            options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }
}
