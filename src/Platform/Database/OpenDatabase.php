<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Symfony\Component\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\NullOutput;

/** Brings the room's file up to what this version of Lottel needs, and makes one where there is none. */
final readonly class OpenDatabase
{
    public function __construct(private string $dataDir)
    {
    }

    public function __invoke(?Application $console): void
    {
        if (!is_dir($this->dataDir)) {
            mkdir($this->dataDir, 0o700, true);
        }
        $migrate = new ArrayInput(['command' => 'doctrine:migrations:migrate', '--no-interaction' => true, '--allow-no-migration' => true]);
        $migrate->setInteractive(false);
        $console?->find('doctrine:migrations:migrate')->run($migrate, new NullOutput());
    }
}
