<?php

declare(strict_types=1);

use App\Tests\PreparedRooms;
use Symfony\Component\Dotenv\Dotenv;

require dirname(__DIR__).'/vendor/autoload.php';

// Several processes run tests beside each other; each has a room of its own.
$data = dirname(__DIR__).'/var/test'.('' === (string) getenv('TEST_TOKEN') ? '' : '-'.getenv('TEST_TOKEN'));
$_SERVER['LOTTEL_DATA'] = $_ENV['LOTTEL_DATA'] = $data;
(new Dotenv())->bootEnv(dirname(__DIR__).'/.env', 'test');

array_map(unlink(...), glob($data.'/room.sqlite*') ?: []);
is_dir($data.'/sessions') || mkdir($data.'/sessions', 0o700, true);
$rooms = new PreparedRooms(dirname(__DIR__));
$rooms->throwAwayWhatIsOld();
$rooms->copyTo($data);
