<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\HttpFoundation\RequestStack;

/** Lines that somebody has typed and that are not written down yet, kept for the page that comes next. */
final readonly class LinesLeft
{
    /** What an address carries where such lines are to be shown. */
    public const ASKED = 'left';
    private const KEY = 'lines left';

    public function __construct(private RequestStack $requests)
    {
    }

    /** Returns the address of the page that shows them again. */
    public function kept(string $text, string $url): string
    {
        if ('' === trim($text)) {
            return $url;
        }
        $this->requests->getSession()->set(self::KEY, $text);

        return $url.(str_contains($url, '?') ? '&' : '?').self::ASKED.'=1';
    }

    /** The lines, where the page was asked for with them; else nothing. */
    public function asked(): string
    {
        $request = $this->requests->getMainRequest();
        $left = true === $request?->query->has(self::ASKED) ? $this->requests->getSession()->get(self::KEY) : '';

        return \is_string($left) ? $left : '';
    }
}
