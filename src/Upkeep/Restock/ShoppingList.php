<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Kits\Kits\Shortfall;
use App\Kits\Kits\ShortfallReading;
use App\Platform\Database\Row;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\Restock\Forecast;
use Lottel\Core\Upkeep\Restock\PackPrice;

/** What is to be bought, by shop: stocks that are due, and what is missing for the kits that are open. */
final readonly class ShoppingList
{
    public function __construct(private RestockReading $stocks, private ShortfallReading $shortfalls, private AlikeReading $alike, private Connection $database)
    {
    }

    /** The last line of the log by which something came in, so that an old page is known as one. */
    public function lastArrival(): int
    {
        return Row::number($this->database->fetchOne("SELECT coalesce(max(id), 0) FROM movement WHERE reason = 'take in'"));
    }

    /**
     * @param int $seen what lastArrival() was when the page was made, 0 where that is not said
     *
     * @throws StepRefused if the thing came in since
     */
    public function checkNothingCame(Item $item, int $seen): void
    {
        $came = $this->database->fetchOne(
            "SELECT 1 FROM movement m WHERE m.item_id = ? AND m.reason = 'take in' AND m.id > ?
             AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)",
            [$item->id, $seen],
        );
        if ($seen > 0 && false !== $came) {
            throw RestockRefused::cameMeanwhile($item->name);
        }
    }

    /** @return list<Shop> by name, the one without a name last */
    public function shops(): array
    {
        $lines = [];
        foreach ($this->stocks->all() as $row) {
            if ($row->forecast->isSoon() && $row->toBuy() > 0) {
                $why = $row->forecast->isDue() ? 'running out' : 'to be ordered this week';
                $lines[$row->thing->id] = new ShoppingLine($row->thing, $row->toBuy(), $why, $row->cents(), $row->shop, [], $row->isDear());
            }
        }
        foreach ($this->shortfalls->all() as $missing) {
            $lines[$missing->thing->id] = self::withKits($missing, $lines[$missing->thing->id] ?? null);
        }
        $byShop = [];
        $alike = $this->alike->of(array_keys($lines));
        foreach ($lines as $item => $line) {
            $byShop[$line->shop][] = new ShoppingLine($line->thing, $line->quantity, $line->why, $line->cents, $line->shop, $alike[$item] ?? [], $line->isDear);
        }
        $shops = array_map(static fn (int|string $name, array $lines): Shop => new Shop((string) $name, $lines), array_keys($byShop), array_values($byShop));
        usort($shops, static fn (Shop $a, Shop $b): int => ['' === $a->name, $a->name] <=> ['' === $b->name, $b->name]);

        return $shops;
    }

    private static function rounded(Shortfall $missing): int
    {
        return Forecast::inPacks($missing->missing(), PackPrice::leastOf($missing->thing->tracking));
    }

    /** The shortfall is in what a stock wants already; else it is a line of its own. */
    private static function withKits(Shortfall $missing, ?ShoppingLine $line): ShoppingLine
    {
        $for = 'for '.implode(', ', $missing->kits);

        return null === $line
            ? new ShoppingLine($missing->thing, self::rounded($missing), $for, $missing->cents, $missing->shop, [], false)
            : new ShoppingLine(
                $line->thing,
                max($line->quantity, self::rounded($missing)),
                $line->why.', and '.$for,
                $line->quantity >= $missing->missing() ? $line->cents : $missing->cents,
                $line->shop,
                [],
                $line->isDear,
            );
    }
}
