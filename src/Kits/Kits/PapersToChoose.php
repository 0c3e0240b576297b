<?php

declare(strict_types=1);

namespace App\Kits\Kits;

/** Knows for which pieces of kits there is no paper: none is chosen, or there is too little of it. */
interface PapersToChoose
{
    /**
     * @param list<int> $kits
     *
     * @return array<int, list<string>> the names of such pieces, each once, by kit
     */
    public function without(array $kits): array;
}
