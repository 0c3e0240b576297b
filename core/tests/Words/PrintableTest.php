<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Words;

use Lottel\Core\Words\Printable;
use PHPUnit\Framework\TestCase;

final class PrintableTest extends TestCase
{
    public function testWhatNoFileTakesIsNoText(): void
    {
        foreach (["\0", "\x1b", "\u{FFFE}", "\u{FFFF}", "\u{FDD0}", "\u{80}", "\x7f"] as $bad) {
            self::assertFalse(Printable::is("Gulls{$bad}"), bin2hex($bad));
            self::assertSame('Gulls', Printable::cleaned("Gul{$bad}ls"));
            $document = new \DOMDocument();
            self::assertTrue($document->loadXML('<a>'.Printable::cleaned("Gul{$bad}ls").'</a>'));
        }
        self::assertTrue(Printable::is("Écume\n\tGrüße 🐦\u{FFFD}"));
        self::assertFalse(Printable::is("\xff"));
        self::assertTrue(Printable::is(Printable::cleaned("Gul\xffls")));
    }
}
