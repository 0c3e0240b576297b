<?php

declare(strict_types=1);

namespace App\Room\Labels;

use Symfony\Component\HttpFoundation\Response;

/** A label, or a sheet of them, as a file. */
final class LabelDocument extends Response
{
    public function __construct(string $content, string $type, string $name, bool $isDownload = false)
    {
        parent::__construct($content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => ($isDownload ? 'attachment' : 'inline').'; filename="'.$name.'"',
        ]);
    }
}
