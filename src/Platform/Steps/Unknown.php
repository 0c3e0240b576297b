<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use Psr\Log\LogLevel;
use Symfony\Component\HttpKernel\Attribute\WithHttpStatus;
use Symfony\Component\HttpKernel\Attribute\WithLogLevel;

#[WithHttpStatus(404)]
#[WithLogLevel(LogLevel::DEBUG)]
final class Unknown extends \RuntimeException
{
    public static function page(): self
    {
        return new self('There is no such page.');
    }

    public static function item(int|string $id): self
    {
        return new self(\sprintf('There is no item number %s.', $id));
    }

    public static function place(string $address): self
    {
        return new self(\sprintf('There is no place “%s” in this room.', mb_substr($address, 0, 24)));
    }

    public static function kit(int|string $id): self
    {
        return new self(\sprintf('There is no kit number %s.', $id));
    }

    public static function line(int|string $id): self
    {
        return new self(\sprintf('Line %s is not on this kit’s list any more.', $id));
    }

    public static function design(string $kit): self
    {
        return new self(\sprintf('“%s” has no design yet. Begin one on its board.', $kit));
    }

    public static function contact(): self
    {
        return new self('That person is not in the list any more.');
    }

    public static function occasion(): self
    {
        return new self('That date is not in the year any more.');
    }

    public static function album(): self
    {
        return new self('That album or page is not there any more.');
    }

    public static function feed(): self
    {
        return new self('That calendar is not given out any more.');
    }

    public static function pattern(): self
    {
        return new self('That pattern is not kept any more.');
    }

    public static function folder(): self
    {
        return new self('No kit waits in that folder.');
    }

    public static function collection(string $name): self
    {
        return new self(\sprintf('Nothing is of the collection “%s”.', mb_substr($name, 0, 60)));
    }

    public static function houseMove(): self
    {
        return new self('The room is not moving.');
    }

    public static function errand(): self
    {
        return new self('There is no such round. Upkeep has those that are being walked.');
    }

    public static function loan(): self
    {
        return new self('That loan is not written down any more.');
    }

    public static function workshop(string $kit): self
    {
        return new self(\sprintf('“%s” is for no class.', $kit));
    }

    public static function unit(string $letters): self
    {
        return new self(\sprintf('There is no unit “%s” in this room.', mb_substr($letters, 0, 24)));
    }

    public static function room(int|string $id): self
    {
        return new self(\sprintf('There is no room number %s.', $id));
    }

    public static function person(int|string $id): self
    {
        return new self(\sprintf('Nobody here has number %s.', $id));
    }

    public static function step(): self
    {
        return new self('That step is not in the log.');
    }
}
