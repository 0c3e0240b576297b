<?php

declare(strict_types=1);

namespace App\Web;

use App\Catalogue\Item;
use App\Kits\Kit;
use App\Kits\Need;
use App\Security\Account;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\Unknown;
use App\Steps\WriteOnce;
use App\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Contracts\Service\Attribute\Required;

/** What the pages share: a write goes through once and leads on, or comes back with its problem. */
abstract class Page extends AbstractController
{
    private WriteOnce $once;
    protected EntityManagerInterface $entities;
    protected Frame $frame;

    #[Required]
    public function equip(WriteOnce $once, EntityManagerInterface $entities, Frame $frame): void
    {
        $this->once = $once;
        $this->entities = $entities;
        $this->frame = $frame;
    }

    /**
     * @param callable(Input, Step): Outcome $work
     * @param callable(Problem): Response $again shows the page with the problem
     * @param callable(Input): void|null $before what takes long and needs no lock, such as reading a picture
     */
    protected function write(Request $request, callable $work, callable $again, ?callable $before = null): Response
    {
        $input = $this->input($request);
        try {
            $id = $input->requestId();
            null === $before || $before($input);
            $outcome = $this->once->do($id, $this->me(), static fn (Step $step): Outcome => $work($input, $step));

            return new RedirectResponse($this->withDone($outcome->goTo, $id), 303);
        } catch (\Throwable $exception) {
            $problem = Problem::from($exception, $request, $this->frame->quantities()) ?? throw $exception;
            $response = $again($problem);
            $response->setStatusCode($problem->status);
            $response->headers->set('HX-Push-Url', 'false');

            return $response;
        }
    }

    protected function input(Request $request): Input
    {
        return new Input($request, $this->frame->quantities(), $this->frame->measure(), $this->frame->colours(...));
    }

    protected function me(): Account
    {
        $user = $this->getUser();
        \assert($user instanceof Account);

        return $user;
    }

    protected function item(int $id): Item
    {
        $item = $this->entities->find(Item::class, $id);

        return null === $item || null !== $item->removedAt ? throw Unknown::item($id) : $item;
    }

    protected function kit(int $id): Kit
    {
        $kit = $this->entities->find(Kit::class, $id);

        return null === $kit || null !== $kit->removedAt ? throw Unknown::kit($id) : $kit;
    }

    /** A place of the furniture that is in use; trays, outside places and retired ones are no such place. */
    protected function place(string $address): Place
    {
        $place = $this->entities->getRepository(Place::class)->findOneBy(['address' => $address]);

        return true === $place?->isStorageInUse() ? $place : throw Unknown::place($address);
    }

    /** A place from which things are pulled: of the furniture, or the heap of what is not filed. */
    protected function store(string $address): Place
    {
        $place = $this->entities->getRepository(Place::class)->findOneBy(['address' => $address]);

        return null !== $place && $place->forLog()->isStore() && null === $place->retiredAt ? $place : throw Unknown::place($address);
    }

    protected function placeNumber(int $id): Place
    {
        $place = $this->entities->find(Place::class, $id);

        return true === $place?->isStorageInUse() ? $place : throw Unknown::place((string) $id);
    }

    protected function need(int $kitId, int $needId): Need
    {
        $need = $this->entities->find(Need::class, $needId);

        return null !== $need && $need->kit->id === $kitId ? $need : throw Unknown::line($needId);
    }

    /** Reads the address of a storage place from a field; complains beside it where there is none. */
    protected function storage(Input $input, string $field): ?Place
    {
        $typed = trim($input->text($field, 24));
        if ('' === $typed) {
            return null;
        }
        $place = $this->entities->getRepository(Place::class)->findOneBy(['address' => $this->frame->address($typed)]);
        if (true !== $place?->isStorageInUse()) {
            $input->refuse($field, \sprintf('There is no place “%s” in this room.', mb_substr($typed, 0, 24)));

            return null;
        }

        return $place;
    }

    private function withDone(string $url, string $id): string
    {
        return $url.(str_contains($url, '?') ? '&' : '?').'done='.$id;
    }
}
