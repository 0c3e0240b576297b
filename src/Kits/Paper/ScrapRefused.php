<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Steps\Refusal;

/** Why a scrap is not kept as it is said. */
final class ScrapRefused extends \InvalidArgumentException implements Refusal
{
    private function __construct(string $message, private readonly string $field)
    {
        parent::__construct($message);
    }

    public function field(): string
    {
        return $this->field;
    }

    public static function isOfNoPaper(string $name): self
    {
        return new self(\sprintf('%s is no paper that scraps are cut from.', $name), 'of');
    }

    public static function isLargerThanItsPaper(string $size): self
    {
        return new self(\sprintf('A scrap is no larger than the paper that it was cut from, which is %s.', $size), 'scrap_size');
    }
}
