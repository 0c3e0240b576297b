<?php

declare(strict_types=1);

namespace App\Tests\Platform\Web;

use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Uid\Uuid;

/** No input, however broken, gives an answer of the 500s. LOTTEL_FUZZ says how many requests; the seed is the same each time. */
final class FuzzTest extends RoomTestCase
{
    private const REQUESTS = 1200;
    private const SEED = 20261125;
    private const SETTLED = ['sign_out', 'begin', 'sign_in'];

    public function testNoInputBreaksTheProgram(): void
    {
        $this->furnish();
        $this->putInto('C1', 'Gulls', 'Terns; Oddling; 1; seabirds; #c02020');
        [$card] = $this->putInto('C2', 'Petrel card;;24', 'Fog card;;9');
        $this->putInto('C3', 'Petrel ink', 'Buoy ink;;half');
        $this->putInto('C4', 'Velvet ribbon;;5 m');
        $kit = $this->planKit('Kit', [[$card, 3]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        mt_srand(self::SEED);
        $routes = array_filter(
            $this->service(RouterInterface::class)->getRouteCollection()->all(),
            static fn (Route $route, string $name): bool => \in_array('POST', $route->getMethods(), true) && !\in_array($name, self::SETTLED, true),
            \ARRAY_FILTER_USE_BOTH,
        );
        self::assertGreaterThan(59, \count($routes));
        $fields = $this->fields();
        self::assertGreaterThan(80, \count($fields));
        $seen = [];
        $requests = (int) (getenv('LOTTEL_FUZZ') ?: self::REQUESTS);
        for ($n = 0; $n < $requests; ++$n) {
            if (0 === $n % 40) {
                $hasLeft = false === $this->database()->fetchOne("SELECT 1 FROM account WHERE login = 'hank'");
                $this->signIn(0 === $n % 200 && !$hasLeft ? 'hank' : 'olive');
            }
            $name = array_rand($routes);
            $path = (string) preg_replace_callback('/\{(\w+)\}/', fn (array $m): string => rawurlencode($this->inPath($m[1])), $routes[$name]->getPath());
            $body = ['_request' => 0 !== mt_rand(0, 30) ? (string) Uuid::v4() : $this->value(), '_form' => 0 !== mt_rand(0, 5) ? 'item' : $this->value()];
            foreach ((array) array_rand($fields, mt_rand(2, 14)) as $key) {
                $body[$fields[$key]] = $this->value();
            }
            $files = 'keep_photo' === $name ? ['photo' => $this->file()] : [];
            $this->browser->request('POST', $path, $body, $files);
            $code = $this->code();
            self::assertLessThan(
                500,
                $code,
                "request {$n}: {$name} {$path} ".json_encode($body, \JSON_PARTIAL_OUTPUT_ON_ERROR).mb_substr($this->text(), 0, 300),
            );
            if (400 === $code) {
                self::assertStringNotContainsString('Something in Lottel broke', $this->text());
            }
            $seen[$code] = ($seen[$code] ?? 0) + 1;
            if (0 === $n % 3) {
                $this->get($this->readingPath());
                self::assertLessThan(500, $this->code(), "after request {$n}");
            }
        }
        foreach ([303, 404, 409, 422] as $code) {
            self::assertArrayHasKey($code, $seen, 'every sort of answer came up: '.json_encode($seen));
        }
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        $this->signIn('olive');
        foreach (['/plan', '/stores', '/log', '/find', '/upkeep', '/stores/plan', '/stores/labels', '/stores/queue'] as $path) {
            $this->get($path);
            $this->assertCode(200, $path);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function brokenPaths(): iterable
    {
        foreach (
            [
                '/items/٣',
                '/items/१२',
                '/kits/٣/pull',
                '/stores/places/%00',
                '/stores/places/C1%00',
                '/stores/places/%FF%FE',
                '/stores/units/%00',
                '/stores/units/%F0%9F%90%A6',
                '/stores/labels/place/٣.svg',
                '/find?q=%00',
                '/find?q=%FF',
                '/find?colour=%00&panel=%00x%00',
                '/find?order[]=walk',
                '/log?from=2026-01-01%00',
                '/log?from=%00&until=%FF',
                '/log?older=٣',
                '/log?place=%00',
                '/log.csv?until=2026-02-30',
                '/stores/plan/99999999999999999999',
                '/scan?on=pull:٣',
                '/scan?on=file:999999999999999999',
                '/stores/places/lost/furniture',
                '/stores/places/not%20filed/furniture',
                '/stores/places/bought/label',
                '/stores/labels.pdf?wish=x',
                '/stores/labels.pdf?wish[]=%00&start=-1',
                '/plan?done=%00',
                '/plan?done[]=x',
                '/items/1/label?width=999999&height=%00',
                '/kits/1/version?seen=%00',
            ] as $path
        ) {
            yield $path => [$path];
        }
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('brokenPaths')]
    public function testBrokenAddressesAreToldSo(string $path): void
    {
        $this->furnish();
        [$card] = $this->putInto('C2', 'Petrel card;;24');
        $kit = $this->planKit('Kit', [[$card, 3]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->get($path);
        self::assertLessThan(500, $this->code());
        if ($this->code() >= 400) {
            self::assertStringNotContainsString('Something in Lottel broke', $this->text());
        }
    }

    public function testTwoWhoOpenTheSameRoomAtOnceGetOneRoom(): void
    {
        $fields = [
            'room' => 'The back room',
            'measure' => 'mm',
            'name' => 'Nell',
            'login' => 'nell',
            'password' => 'nells-password',
            'time_zone' => 'Europe/Oslo',
        ];
        $this->browser->request('POST', '/begin', $fields);
        $this->assertCode(303);
        $this->browser->restart();
        $this->browser->request('POST', '/begin', ['login' => 'other'] + $fields);
        $this->assertCode(302);
        self::assertSame('/sign-in', parse_url((string) $this->browser->getResponse()->headers->get('Location'), \PHP_URL_PATH));
        self::assertSame(1, $this->number('SELECT count(*) FROM account'));
    }

    /** @return list<string> every field that a controller reads */
    private function fields(): array
    {
        $found = [];
        foreach (glob(\dirname(__DIR__, 3).'/src/*/*/*.php') ?: [] as $file) {
            preg_match_all("/(?:input->|input, |side\(|given\(|tenths\()\w*\(?'(\w+)'/", (string) file_get_contents($file), $m);
            $found = [...$found, ...$m[1]];
        }

        return array_values(array_unique([...$found, 'address', 'x', 'y', 'turn', 'unit', 'fixture', 'fixture_x', 'wish', 'cared', 'on', 'code', 'query']));
    }

    private function value(): mixed
    {
        $values = [
            '',
            '0',
            '1',
            '2',
            '-1',
            '3.5',
            '1/0',
            '4 1/4',
            '99999999999999999999',
            'full',
            'half',
            '5 m',
            '2 yd',
            'C1',
            'C2',
            'c3',
            'C99',
            'not filed',
            'lost',
            'given',
            'tray 1',
            'C1.a',
            '~1',
            'navy',
            '#1f5c6b',
            '#12',
            'one',
            'count',
            'length',
            'level',
            'in',
            'mm',
            'paper',
            'stamp set',
            'name',
            'colour',
            'sea',
            'winter',
            'grid',
            'across',
            'front',
            'chest',
            'cubes',
            'bought',
            'Europe/Oslo',
            'Mars/Base',
            '2026-02-30',
            "2026-01-01\0",
            "a\0b",
            "\xff\xfe",
            '🐦',
            '٣',
            'עוף',
            "line\nline; ; 3\nribbon;;x",
            str_repeat('x', 5000),
            "'; DROP TABLE item; --",
            '<b>',
            'pull:1',
            'file:2',
            '{}',
            'Gulls',
            'Petrel ink',
            'longenough password',
            'theme=sea&kind=paper',
        ];
        $pick = mt_rand(0, \count($values) + 3);

        return match (true) {
            $pick < \count($values) => $values[$pick],
            $pick === \count($values) => [$values[mt_rand(0, 20)], '2', ['deep']],
            $pick === \count($values) + 1 => ['1', '2', '3'],
            $pick === \count($values) + 2 => ['a' => 'b'],
            default => (string) mt_rand(1, 12),
        };
    }

    private function inPath(string $what): string
    {
        return match ($what) {
            'address' => ['C1', 'C2', 'C3', 'C4', 'C5', 'C6', 'C1.a', 'D1', 'lost', 'tray 1', '~5', 'c2', "C\0", '٣'][mt_rand(0, 13)],
            'letters' => ['C', 'D', 'c', '~1', '🐦'][mt_rand(0, 4)],
            'subject' => ['place', 'item'][mt_rand(0, 1)],
            'type' => 'svg',
            default => (string) [1, 1, 1, 2, 3, 4, 5, 6, 11, 12, 13, 999, '٣'][mt_rand(0, 12)],
        };
    }

    private function readingPath(): string
    {
        return [
            '/stores/places/C1',
            '/items/'.mt_rand(1, 9),
            '/kits/'.mt_rand(1, 4),
            '/kits/1/pull',
            '/kits/1/make',
            '/kits/1/return',
            '/log',
            '/find?q=petrel',
            '/stores',
            '/stores/queue',
            '/upkeep',
            '/stores/plan',
            '/stores/units/C',
            '/stores/places/C2/furniture',
        ][mt_rand(0, 13)];
    }

    private function file(): UploadedFile
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'lottel-fuzz');
        file_put_contents($path, ["\x89PNG\r\n", '', random_bytes(40), "GIF89a\0\0"][mt_rand(0, 3)]);

        return new UploadedFile($path, 'x.png', 'image/png', 0 !== mt_rand(0, 4) ? null : \UPLOAD_ERR_PARTIAL, true);
    }
}
