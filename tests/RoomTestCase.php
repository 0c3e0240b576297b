<?php

declare(strict_types=1);

namespace App\Tests;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitDescription;
use App\Kits\Kits\KitList;
use App\Kits\Kits\PlanKit;
use App\People\Accounts\Newcomer;
use App\People\Accounts\OpenRoom;
use App\Platform\Database\Row;
use App\Platform\Security\Account;
use App\Platform\Security\Role;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\WriteOnce;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\TakeIn;
use App\Room\Find\FindIndex;
use App\Room\Stores\BuildUnit;
use App\Room\Stores\Place;
use App\Room\Stores\PlaceDescription;
use App\Room\Stores\Room;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Measure\LengthUnit;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Uid\Uuid;

/** A small room with an owner, a helper and one chest of drawers, in a browser without a window. */
abstract class RoomTestCase extends WebTestCase
{
    protected KernelBrowser $browser;

    protected function setUp(): void
    {
        $this->browser = self::createClient(server: ['HTTP_SEC_FETCH_SITE' => 'same-origin']);
        $this->browser->disableReboot();
        // That of PHP itself; a parser written in PHP took a sixth of all time.
        $this->browser->useHtml5Parser(false);
    }

    protected LengthUnit $measure = LengthUnit::Inch;

    protected function furnish(LengthUnit $measure = LengthUnit::Inch): void
    {
        $this->measure = $measure;
        $open = $this->service(OpenRoom::class);
        $open('Test loft', $measure, 'UTC', new Newcomer('olive', 'Olive', 'olives-password'));
        $open->welcome(new Newcomer('hank', 'Hank', 'hanks-password'), Role::Helper);
        $this->entities()->flush();
        $room = $this->entities()->getRepository(Room::class)->findOneBy([]) ?? throw new \LogicException();
        $places = ($this->service(BuildUnit::class))($room, UnitTemplate::Chest, 'C', 'chest', 'north wall', 5);
        foreach ([Kind::StampSet, Kind::Paper, Kind::Ink] as $nth => $kind) {
            $this->describePlace($places[$nth]->address, $kind);
        }
        array_walk($places, $this->service(FindIndex::class)->place(...));
        $this->signIn('olive');
    }

    /** What is said of a place from now on; what is not given stays as it is. */
    protected function describePlace(
        string $address,
        ?Kind $kind = null,
        ?string $maker = null,
        ?string $theme = null,
        ?string $name = null,
        ?int $fileAfterUses = null,
    ): void {
        $place = $this->place($address);
        $inside = $place->inside();
        $place->describe(new PlaceDescription(
            $name ?? $place->name,
            FilingScheme::parse($place->scheme),
            $kind ?? $place->saysKind,
            $maker ?? $place->saysMaker,
            $theme ?? $place->saysTheme,
            width: $inside?->width,
            height: $inside?->height,
            depth: $inside?->depth,
            mostGrams: $place->mostGrams,
            fileAfterUses: $fileAfterUses ?? $place->fileAfterUses,
        ));
        $this->entities()->flush();
    }

    protected function signIn(string $login): void
    {
        $this->browser->loginUser($this->account($login));
    }

    /** @return list<Item> */
    protected function putInto(string $address, string ...$lines): array
    {
        $items = [];
        $this->step(function (Step $step) use ($address, $lines, &$items): void {
            $things = PastedThing::lines(implode("\n", $lines), $this->place($address)->rule(), new QuantityText($this->measure));
            $items = ($this->service(TakeIn::class))($step, $this->place($address), $things);
        });

        return $items;
    }

    /** A thing that was taken in by mistake, which was undone. */
    protected function undoneThing(Item $item): void
    {
        $this->database()->executeStatement('DELETE FROM balance WHERE item_id = ?', [$item->id]);
        $this->database()->executeStatement("UPDATE item SET removed_at = '2026-03-01 10:00:00', home_id = NULL WHERE id = ?", [$item->id]);
        $this->entities()->clear();
    }

    /** @param list<array{Item, int}> $needs */
    protected function planKit(string $name, array $needs): int
    {
        $id = 0;
        $this->step(function (Step $step) use ($name, $needs, &$id): void {
            $kit = ($this->service(PlanKit::class))($step, new KitDescription($name));
            foreach ($needs as [$item, $quantity]) {
                $this->service(KitList::class)->add($kit, $this->item((int) $item->id), $quantity);
            }
            $id = (int) $kit->id;
        });

        return $id;
    }

    /** @param callable(Step): void $work */
    protected function step(callable $work, string $login = 'olive'): void
    {
        $this->service(WriteOnce::class)->do((string) Uuid::v7(), $this->account($login), static function (Step $step) use ($work): Outcome {
            $work($step);

            return Outcome::undoable('/', 'done');
        });
    }

    /** @param array<string, mixed> $fields */
    protected function post(string $path, array $fields = [], ?string $requestId = null): Crawler
    {
        return $this->browser->request('POST', $path, $fields + ['_request' => $requestId ?? (string) Uuid::v7()]);
    }

    /** @param array<string, mixed> $fields */
    protected function postAndFollow(string $path, array $fields = []): Crawler
    {
        $this->post($path, $fields);
        $this->assertCode(303, mb_substr(strip_tags((string) $this->browser->getResponse()->getContent()), 0, 2000));

        return $this->browser->followRedirect();
    }

    protected function get(string $path): Crawler
    {
        return $this->browser->request('GET', $path);
    }

    protected function assertCode(int $expected, string $message = ''): void
    {
        self::assertSame($expected, $this->code(), $message);
    }

    /** @phpstan-impure */
    protected function code(): int
    {
        return $this->browser->getResponse()->getStatusCode();
    }

    protected function text(): string
    {
        return (string) preg_replace('/\s+/u', ' ', html_entity_decode(strip_tags((string) $this->browser->getResponse()->getContent()), \ENT_QUOTES));
    }

    /** @return array<string, int> quantity by address, of an item */
    protected function balances(Item $item): array
    {
        $rows = $this->database()->fetchAllAssociative(
            'SELECT p.address, b.quantity FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = ? ORDER BY p.address',
            [$item->id],
        );
        $balances = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $balances[$row->text('address')] = $row->int('quantity');
        }

        return $balances;
    }

    protected function movements(): int
    {
        return $this->number('SELECT count(*) FROM movement');
    }

    protected function needId(int $kit, Item $item): int
    {
        return $this->number('SELECT id FROM need WHERE kit_id = ? AND item_id = ?', [$kit, $item->id]);
    }

    protected function stage(int $kit): string
    {
        return $this->word('SELECT stage FROM kit WHERE id = ?', [$kit]);
    }

    protected function item(int $id): Item
    {
        return $this->entities()->find(Item::class, $id) ?? throw new \LogicException('No such item.');
    }

    protected function kit(int $id): Kit
    {
        return $this->entities()->find(Kit::class, $id) ?? throw new \LogicException('No such kit.');
    }

    protected function place(string $address): Place
    {
        return $this->entities()->getRepository(Place::class)->findOneBy(['address' => $address]) ?? throw new \LogicException('No such place.');
    }

    protected function account(string $login): Account
    {
        return $this->entities()->getRepository(Account::class)->findOneBy(['login' => $login]) ?? throw new \LogicException('Nobody is called that.');
    }

    /** @param list<mixed> $values */
    protected function number(string $sql, array $values = []): int
    {
        $answer = $this->database()->fetchOne($sql, $values);

        return is_numeric($answer) ? (int) $answer : 0;
    }

    /** @param list<mixed> $values */
    protected function word(string $sql, array $values = []): string
    {
        $answer = $this->database()->fetchOne($sql, $values);

        return \is_scalar($answer) ? (string) $answer : '';
    }

    protected function database(): Connection
    {
        return $this->service(Connection::class);
    }

    protected function entities(): EntityManagerInterface
    {
        return $this->service(EntityManagerInterface::class);
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    protected function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        \assert($service instanceof $class);

        return $service;
    }
}
