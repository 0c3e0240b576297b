<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Web\Input;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Season;

/** What is to change on several items at once; null stays as it is. */
final readonly class BulkChange
{
    public function __construct(public ?string $maker, public ?string $theme, public ?Kind $kind, public ?string $collection, public ?Season $season)
    {
    }

    /** Reads a form in which an empty field means that this stays as it is. */
    public static function read(Input $input): self
    {
        $given = static fn (string $field, int $most): ?string => '' === $input->text($field, $most) ? null : $input->text($field, $most);

        return new self(
            $given('maker', 120),
            $given('theme', 60),
            Kind::tryFrom($input->text('kind', 20)),
            $given('collection', 120),
            Season::tryFrom($input->text('season', 10)),
        );
    }

    public function isNothing(): bool
    {
        return null === $this->maker && null === $this->theme && null === $this->kind && null === $this->collection && null === $this->season;
    }
}
