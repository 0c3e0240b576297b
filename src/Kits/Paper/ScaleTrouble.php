<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Steps\Refusal;

/** Why a scale tells nothing. */
final class ScaleTrouble extends \RuntimeException implements Refusal
{
    public function field(): string
    {
        return 'scale';
    }

    public static function drifts(): self
    {
        return new self('The scale does not come to rest. Set it on a firm table, out of the draught, and read it again.');
    }

    public static function showsNothing(): self
    {
        return new self('The scale shows nothing. Is the stack on it, and did it begin at nought?');
    }

    public static function isOverloaded(int $most): self
    {
        return new self(\sprintf('That is more than the scale carries, %s g. Weigh the stack in two parts.', number_format($most)));
    }
}
