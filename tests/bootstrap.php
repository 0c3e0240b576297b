<?php

declare(strict_types=1);

use App\Kernel;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\NullOutput;
use Symfony\Component\Dotenv\Dotenv;

require dirname(__DIR__).'/vendor/autoload.php';

(new Dotenv())->bootEnv(dirname(__DIR__).'/.env', 'test');

$data = dirname(__DIR__).'/var/test';
array_map(unlink(...), glob($data.'/room.sqlite*') ?: []);
is_dir($data.'/sessions') || mkdir($data.'/sessions', 0o700, true);

$kernel = new Kernel('test', false);
$application = new Application($kernel);
$application->setAutoExit(false);
$application->run(new ArrayInput(['command' => 'cache:clear', '--no-warmup' => true]), new NullOutput());
$kernel = new Kernel('test', false);
$application = new Application($kernel);
$application->setAutoExit(false);
$migrated = $application->run(new ArrayInput(['command' => 'doctrine:migrations:migrate', '--no-interaction' => true, '--quiet' => true]), new NullOutput());
$kernel->shutdown();
if (0 !== $migrated) {
    throw new RuntimeException('The test database could not be set up.');
}
