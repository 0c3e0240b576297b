<?php

declare(strict_types=1);

namespace App\Tests\Platform\Lan;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** What PHP's own server is asked for goes to a built file or to the application, whatever stands in the address. */
final class RouterTest extends TestCase
{
    public function testAnAddressWithANulIsAnsweredByTheApplication(): void
    {
        $router = \dirname(__DIR__, 3).'/public/router.php';
        $ask = static function (string $address) use ($router): string {
            $code = '$_SERVER["REQUEST_URI"] = $argv[1]; set_error_handler(fn (int $no, string $text) => throw new ErrorException($text));'
                .'try { return require $argv[2]; } catch (ValueError $wrong) { echo "wrong: ", $wrong->getMessage(); }';
            $ask = ['php', '-d', 'display_errors=0', '-r', $code, '--', $address, $router];
            $process = new Process($ask, \dirname(__DIR__, 3), ['LOTTEL_DATA' => '/nowhere']);
            $process->run();

            return $process->getOutput();
        };
        self::assertStringContainsString('{', $ask('/build/app.css'));
        self::assertStringNotContainsString('wrong:', $ask('/x%00'));
        self::assertStringNotContainsString('wrong:', $ask('/build/app.css%00.css'));
        self::assertStringNotContainsString('{', mb_substr($ask('/build/../router.php'), 0, 20), 'nothing but what was built');
    }
}
