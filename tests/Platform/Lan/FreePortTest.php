<?php

declare(strict_types=1);

namespace App\Tests\Platform\Lan;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** An address is printed only where it can be served at. */
final class FreePortTest extends TestCase
{
    public function testAFreePortIsFoundPastOnesThatAreTaken(): void
    {
        [$socket, $port] = self::taken();
        $found = (int) self::port((string) $port)->mustRun()->getOutput();
        self::assertGreaterThan($port, $found);
        fclose($socket);
        self::assertSame((string) $port, self::port('8130', (string) $port)->mustRun()->getOutput());
    }

    #[DataProvider('commands')]
    public function testAPortThatIsTakenIsTold(string $command): void
    {
        [$socket, $port] = self::taken();
        $process = new Process([$command, '--port', (string) $port], \dirname(__DIR__, 3), timeout: 900);
        self::assertSame(1, $process->run());
        self::assertStringNotContainsString('http://', $process->getOutput());
        self::assertStringContainsString("Port {$port} is taken, or is none.", $process->getErrorOutput());
        fclose($socket);
    }

    #[DataProvider('noPorts')]
    public function testWhatIsNoPortIsTold(string $wanted): void
    {
        $process = self::port('8130', $wanted);
        self::assertSame(1, $process->run());
        self::assertStringContainsString('is none', $process->getErrorOutput());
    }

    /** @return iterable<string, list<string>> */
    public static function commands(): iterable
    {
        yield 'the demo room' => ['bin/demo'];
        yield 'the own room' => ['bin/start'];
    }

    /** @return iterable<string, list<string>> */
    public static function noPorts(): iterable
    {
        yield 'words' => ['eight'];
        yield 'nought' => ['0'];
        yield 'too large' => ['70000'];
        yield 'negative' => ['-5'];
    }

    /** @return array{resource, int} */
    private static function taken(): array
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($socket);

        return [$socket, (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1)];
    }

    private static function port(string ...$arguments): Process
    {
        return new Process(['bin/free-port', ...$arguments], \dirname(__DIR__, 3));
    }
}
