<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\ListImport\PastedLine;

/** What pasted lines would become. */
final readonly class ThingsPreview
{
    /**
     * @param list<PastedThing> $things
     * @param array<int, list<DoubleRow>> $doubles by thing
     * @param list<PastedLine> $wrong lines that cannot be read
     * @param list<string> $headings the first line, where it is one of headings
     * @param list<string> $passedOver headings of columns that are not taken in here
     */
    public function __construct(
        public string $text,
        public array $things,
        public array $doubles,
        public array $wrong = [],
        public array $headings = [],
        public array $passedOver = [],
    ) {
    }
}
