<?php

declare(strict_types=1);

namespace App\Tests\Platform\Health;

use App\Platform\Health\HealthReading;
use App\Platform\Health\NoteRequest;
use App\Platform\Health\RequestNumber;
use App\Tests\OwnFileTestCase;
use Monolog\Handler\TestHandler;
use Monolog\Logger;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/** The owner sees how the installation does; the log tells what happened without telling of whose things. */
final class HealthTest extends OwnFileTestCase
{
    public function testTheOwnerSeesHowLottelDoes(): void
    {
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
        $this->furnish();
        $this->putInto('C1', 'Gull stamps');
        $this->get('/upkeep/health');
        self::assertStringContainsString('Go through them now', $this->text());
        self::assertStringContainsString('there is none yet', $this->text());
        $this->get('/upkeep/health?look=1');
        self::assertStringContainsString('1 movement, and every balance is what they come to', $this->text());
        self::assertStringContainsString('every page of the file is whole', $this->text());
        $this->database()->executeStatement('UPDATE balance SET quantity = -3 WHERE quantity = -1');
        $this->get('/upkeep/health?look=1');
        self::assertStringContainsString('1 balance differs from the log', $this->text());
        $this->signIn('hank');
        $this->get('/upkeep/health');
        $this->assertCode(403);
    }

    public function testTheSlowestPagesAndTheLastFaultsComeOutOfTheLog(): void
    {
        mkdir($this->data.'/log');
        $line = static fn (string $page, int $ms): string => json_encode([
            'message' => 'answered', 'level_name' => 'INFO', 'context' => ['page' => $page, 'ms' => $ms, 'mb' => 12], 'extra' => ['request' => 'a1'],
        ], \JSON_THROW_ON_ERROR);
        $fault = static fn (string $what): string => json_encode([
            'message' => $what, 'level_name' => 'CRITICAL', 'datetime' => '2027-03-01T10:00:00+00:00', 'context' => [], 'extra' => ['request' => 'b2'],
        ], \JSON_THROW_ON_ERROR);
        file_put_contents($this->data.'/log/lottel-2027-02-28.log', $line('old_page', 900)."\n");
        file_put_contents($this->data.'/log/lottel-2027-03-01.log', implode("\n", [
            ...array_map(static fn (int $ms): string => $line('plan', $ms), range(1, 100)),
            ...array_map(static fn (int $ms): string => $line('find_page', $ms), [400, 200, 300]),
            $line('seldom', 5000), 'half a li', $fault('First'), $fault('Second'),
        ]));
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
        $health = $this->service(HealthReading::class);
        self::assertSame(
            [['find page', 3, 300, 400], ['plan', 100, 51, 96]],
            array_map(static fn ($page): array => [$page->page, $page->times, $page->usual, $page->slow], $health->lately(5)['pages']),
            'of the newest log, and only what came more than once or twice',
        );
        self::assertSame(['Second', 'First'], array_column($health->lately(5)['faults'], 'what'));
    }

    public function testALineOfTheLogNamesThePageAndNothingOfTheRoom(): void
    {
        $handler = new TestHandler();
        $number = new RequestNumber();
        $request = Request::create('/find?q=Gull+stamps', 'POST', ['name' => 'Gull stamps']);
        $request->attributes->set('_route', 'find');
        $kernel = self::$kernel;
        \assert(null !== $kernel);
        (new NoteRequest(new Logger('app', [$handler], [$number])))(new TerminateEvent($kernel, $request, new Response('', 422)));
        self::assertTrue($handler->hasInfoRecords());
        $told = $handler->getRecords()[0]->toArray();
        self::assertSame(['find', 'POST', 422], [$told['context']['page'] ?? '', $told['context']['method'] ?? '', $told['context']['status'] ?? '']);
        self::assertStringNotContainsStringIgnoringCase('gull', json_encode($told, \JSON_THROW_ON_ERROR));
    }

    public function testEachAnswerCarriesTheNumberOfItsRequest(): void
    {
        $numbers = [];
        foreach (['/sign-in', '/nowhere'] as $path) {
            $this->get($path);
            $numbers[] = (string) $this->browser->getResponse()->headers->get(RequestNumber::HEADER);
        }
        self::assertMatchesRegularExpression('/^[0-9a-f]{12} [0-9a-f]{12}$/', implode(' ', $numbers));
        self::assertNotSame($numbers[0], $numbers[1]);
    }
}
