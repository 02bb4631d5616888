<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Feed;

/**
 * What a feed that sends all it has sent before and sends no longer, and no other feed sends: products with their variants, and single
 * variants of products that are still sent. What is out of the shop or taken as sold out already is not gone once more.
 */
final readonly class JudgeGone
{
    public function __construct(private Staging $staging)
    {
    }

    public function __invoke(?Feed $feed): void
    {
        if ($feed === null || ! $feed->whole) {
            return;
        }
        // A row that is refused was sent all the same.
        $unsent = 'SELECT s.item_id FROM sent s JOIN items i ON i.id = s.item_id WHERE s.feed_id = ?
            AND NOT EXISTS (SELECT 1 FROM temp.staged_rows r WHERE r.sku = i.sku)
            AND NOT EXISTS (SELECT 1 FROM temp.staged_refusals r WHERE r.sku = i.sku)';
        $byOthers = 'EXISTS (SELECT 1 FROM sent o WHERE o.item_id = s.item_id AND o.feed_id <> s.feed_id)';
        $this->staging->run("INSERT INTO temp.staged_others {$unsent} AND {$byOthers}", [$feed->id]);
        $this->staging->run("INSERT INTO temp.staged_gone {$unsent} AND i.out_since IS NULL AND NOT {$byOthers}", [$feed->id]);
        // A product stays while one of its variants is sent.
        $this->staging->run(
            'DELETE FROM temp.staged_gone WHERE item_id IN (SELECT v.parent_id FROM items v WHERE v.parent_id IS NOT NULL
                AND v.id NOT IN (SELECT item_id FROM temp.staged_gone))',
        );
        $this->staging->run(
            'DELETE FROM temp.staged_gone WHERE item_id IN (SELECT g.item_id FROM temp.staged_gone g JOIN items i ON i.id = g.item_id
                WHERE i.parent_id IS NOT NULL AND i.stock = 0 AND i.parent_id NOT IN (SELECT item_id FROM temp.staged_gone))',
        );
    }
}
