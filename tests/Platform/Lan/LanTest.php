<?php

declare(strict_types=1);

namespace App\Tests\Platform\Lan;

use App\Platform\Backup\BackupFile;
use App\Platform\Devices\Devices;
use App\Platform\Lan\Certificates;
use App\Platform\Lan\LanAddress;
use App\Platform\Lan\TerminalQr;
use App\Room\Labels\QrCode;
use App\Tests\In;
use App\Tests\OwnFileTestCase;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\Process\Process;

/** What a room needs to be served to its workroom: devices that are let in, certificates, addresses, upgrades. */
final class LanTest extends OwnFileTestCase
{
    protected function tearDown(): void
    {
        $_ENV['LOTTEL_LAN'] = $_SERVER['LOTTEL_LAN'] = '0';
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    public function testACodeLetsOneDeviceInOnceAndForTenMinutes(): void
    {
        $this->served();
        $clock = new MockClock('2027-03-01 10:00');
        Clock::set($clock);
        $devices = $this->service(Devices::class);
        $code = $devices->code($this->account('olive'));
        self::assertMatchesRegularExpression('/^\d{3} \d{3}$/', $code);
        self::assertNull($devices->letIn('000 000' === $code ? '000 001' : '000 000', 'a stranger'));
        $token = $devices->letIn(str_replace(' ', '', $code), 'the tablet');
        self::assertNotNull($token);
        self::assertTrue($devices->isLetIn($token));
        self::assertFalse($devices->isLetIn(strrev($token)));
        self::assertNull($devices->letIn($code, 'another'), 'once');
        $late = $devices->code(null);
        $clock->modify('+10 minutes +1 second');
        self::assertNull($devices->letIn($late, 'too late'));
        self::assertSame(['the tablet by Olive'], array_map(static fn ($device): string => "{$device->name} by {$device->by}", $devices->all()));
        self::assertStringNotContainsString($token, $this->word('SELECT token FROM device'), 'what is kept does not let anybody in');
        self::assertTrue($devices->isLetIn($token));
        self::assertSame('2027-03-01 10:10:01', $this->word('SELECT seen_at FROM device'));
        $devices->shutOut($devices->all()[0]->id);
        self::assertFalse($devices->isLetIn($token));
    }

    public function testWhereTheRoomIsServedNobodyComesInWithoutADevice(): void
    {
        $this->served();
        foreach (['/', '/plan', '/sign-in', '/nowhere', '/upkeep/room.json', '/calendar/', '/devices'] as $path) {
            $this->get($path);
            $this->assertCode(303, $path);
            self::assertSame('/device', $this->browser->getResponse()->headers->get('Location'), $path);
        }
        $this->post('/device', ['_form' => 'let_in', 'code' => '', 'name' => '']);
        $this->assertCode(422);
        $this->post('/device', ['_form' => 'let_in', 'code' => $this->service(Devices::class)->code(null), 'name' => 'the tablet']);
        $this->assertCode(303);
        $this->get('/plan');
        $this->assertCode(200, 'a person who is signed in, at a device that is in');
        $this->get('/upkeep/devices');
        self::assertStringContainsString('the tablet', $this->text());
        $code = $this->post('/upkeep/devices')->filter('.device-code')->text();
        self::assertMatchesRegularExpression('/^\d{3} \d{3}$/', $code);
        $this->postAndFollowTo("/upkeep/devices/{$this->word('SELECT id FROM device')}/shut-out", '/upkeep/devices');
        self::assertSame('/device', $this->browser->getResponse()->headers->get('Location'), 'one shuts oneself out too');
    }

    public function testWhoeverGuessesCodesKeepsOutNobodyElse(): void
    {
        $this->served();
        $from = function (string $address, string $code): string {
            $this->browser->setServerParameter('REMOTE_ADDR', $address);
            $this->post('/device', ['_form' => 'let_in', 'code' => $code, 'name' => 'the tablet']);

            return $this->text();
        };
        $said = '';
        for ($try = 0; $try < 60; ++$try) {
            $said = $from('192.0.2.7', '000 000');
        }
        self::assertStringContainsString('Too many tries', $said);
        self::assertStringContainsString('This is no code', $from('192.0.2.8', '000 000'));
        for ($stranger = 10; $stranger < 60; ++$stranger) {
            $said = $from("192.0.2.{$stranger}", '000 000');
        }
        self::assertStringContainsString('Too many tries', $said, 'many together are kept out');
    }

    public function testTheWebServerAsksWhetherADeviceIsIn(): void
    {
        $this->served();
        $this->get('/device/in');
        $this->assertCode(403);
        $this->post('/device', ['_form' => 'let_in', 'code' => $this->service(Devices::class)->code(null), 'name' => 'the tablet']);
        $this->get('/device/in');
        $this->assertCode(204);
    }

    public function testAHelperNeitherSeesDevicesNorLetsThemIn(): void
    {
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
        $this->furnish();
        $this->get('/upkeep/devices');
        self::assertStringContainsString('Only this machine can come in now', $this->text());
        $this->signIn('hank');
        $this->get('/upkeep/devices');
        $this->assertCode(403);
        $this->post('/upkeep/devices');
        $this->assertCode(403);
    }

    /** Held against the openssl of the system, which knows nothing of how they were made. */
    public function testTheServersCertificateIsVouchedForByTheRoomsAuthority(): void
    {
        $certificates = new Certificates($this->data);
        $certificates->prepare('Tide Loft', ['192.168.2.7', 'fd00::7', 'loft.local'], new \DateTimeImmutable());
        [$authority, $server] = [$certificates->path('authority.crt'), $certificates->path('server.crt')];
        $run = static fn (string ...$words): string => (new Process(['openssl', ...$words]))->mustRun()->getOutput();
        foreach ([['-verify_ip', '192.168.2.7'], ['-verify_ip', 'fd00::7'], ['-verify_hostname', 'loft.local']] as $reached) {
            $said = $run('verify', '-CAfile', $authority, '-purpose', 'sslserver', ...[...$reached, $server]);
            self::assertStringContainsString('OK', $said);
        }
        $strange = new Process(['openssl', 'verify', '-CAfile', $authority, '-verify_hostname', 'elsewhere.test', $server]);
        self::assertNotSame(0, $strange->run());
        $print = $run('x509', '-in', $certificates->path('authority.crt'), '-noout', '-fingerprint', '-sha256');
        self::assertSame(trim(str_replace(':', '', explode('=', $print)[1])), str_replace(' ', '', $certificates->fingerprint()));
        self::assertSame('0600', substr(\sprintf('%o', fileperms($certificates->path('authority.key'))), -4));
    }

    /** Held against the openssl of the system, which keeps to RFC 5280. */
    public function testTheAuthorityVouchesForNothingOutsideOfOnesOwnNetwork(): void
    {
        $certificates = new Certificates($this->data);
        $certificates->prepare('Tide Loft', ['loft.example.net', '192.168.2.7'], new \DateTimeImmutable());
        [$authority, $server] = [$certificates->path('authority.crt'), $certificates->path('server.crt')];
        $says = (new Process(['openssl', 'x509', '-in', $authority, '-noout', '-text']))->mustRun()->getOutput();
        self::assertStringContainsString('X509v3 Name Constraints: critical', $says);
        $reaches = static fn (string $crt, string $host): int => (new Process(
            ['openssl', 'verify', '-CAfile', $authority, '-purpose', 'sslserver', '-verify_hostname', $host, $crt],
        ))->run();
        self::assertSame(0, $reaches($server, 'loft.example.net'), 'the name that it was made for');
        foreach (['bank.example.com' => 2, 'shop.local' => 0] as $host => $expected) {
            $key = $this->data.'/other.key';
            $crt = $this->data.'/other.crt';
            (new Process(['openssl', 'req', '-x509', '-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes', '-keyout', $key, '-out', $crt,
                '-CA', $authority, '-CAkey', $certificates->path('authority.key'), '-subj', '/CN='.$host, '-addext', 'subjectAltName=DNS:'.$host,
                '-addext', 'basicConstraints=critical,CA:FALSE', '-days', '30']))->mustRun();
            self::assertSame($expected, $reaches($crt, $host), $host);
        }
    }

    public function testTheAuthorityStaysWhereTheServerCanDoWithoutANameAndIsMadeAnewWhereItCannot(): void
    {
        $certificates = new Certificates($this->data);
        $now = new \DateTimeImmutable();
        self::assertFalse($certificates->prepare('Tide Loft', ['192.168.2.7', '2001:db8::7'], $now));
        $authority = $certificates->authority();
        self::assertFalse($certificates->prepare('Tide Loft', ['192.168.2.8', '2001:db8::8'], $now), 'its address on the Internet changes every day');
        self::assertSame($authority, $certificates->authority());
        $names = In::of(openssl_x509_parse((string) file_get_contents($certificates->path('server.crt'))), 'extensions', 'subjectAltName');
        self::assertSame('IP Address:192.168.2.8', $names);
        self::assertTrue($certificates->prepare('Tide Loft', ['loft.example.net', '192.168.2.8'], $now), 'it is to be called by a name of the Internet');
        self::assertNotSame($authority, $certificates->authority());
        $check = (new Process(['openssl', 'verify', '-CAfile', $certificates->path('authority.crt'), $certificates->path('server.crt')]))->run();
        self::assertSame(0, $check);
    }

    public function testTheServersCertificateIsMadeAnewWhenItMustBeAndTheAuthorityNever(): void
    {
        $certificates = new Certificates($this->data);
        $now = new \DateTimeImmutable();
        $state = static fn (): array => [file_get_contents($certificates->path('authority.crt')), file_get_contents($certificates->path('server.crt'))];
        $certificates->prepare('Tide Loft', ['192.168.2.7', 'fd00:0::7'], $now);
        $first = $state();
        $certificates->prepare('Tide Loft', ['192.168.2.7', 'fd00::7'], $now->modify('+300 days'));
        self::assertSame($first, $state(), 'nothing to do');
        $certificates->prepare('Tide Loft', ['192.168.2.9'], $now);
        $second = $state();
        self::assertSame($first[0], $second[0]);
        self::assertNotSame($first[1], $second[1], 'another address');
        $certificates->prepare('Tide Loft', ['192.168.2.9'], $now->modify('+370 days'));
        self::assertSame($first[0], $state()[0]);
        self::assertNotSame($second[1], $state()[1], 'it ends soon');
    }

    public function testTheAddressIsTheOneThatOthersReach(): void
    {
        $address = LanAddress::of('loft.test', 8443, 8080);
        self::assertSame(['https://loft.test:8443/', 'http://loft.test:8080/trust'], [$address->url(), $address->trustUrl()]);
        self::assertContains('localhost', $address->names);
        foreach ($address->names as $name) {
            self::assertMatchesRegularExpression('~'.$address->pattern().'~', str_contains($name, ':') ? "[{$name}]" : $name);
        }
        self::assertDoesNotMatchRegularExpression('~'.$address->pattern().'~', 'loftXtest');
        self::assertNotContains('not a name', LanAddress::of('not a name', 1, 2)->names);
    }

    public function testTheCodeInTheTerminalHasEveryModule(): void
    {
        $rows = (new QrCode())->rows('http://192.0.2.7:8080/trust');
        $drawn = TerminalQr::of($rows);
        $dark = substr_count($drawn, '▀') + substr_count($drawn, '▄') + 2 * substr_count($drawn, ' ');
        self::assertSame(array_sum(array_map(\count(...), $rows)), $dark);
    }

    public function testAnUpgradeThatIsKilledCanBeRunAgain(): void
    {
        $this->moveInto(12);
        $killed = 0;
        foreach ([300, 900, 1500, 2200] as $milliseconds) {
            $upgrade = $this->upgrade();
            $upgrade->start();
            usleep(1000 * $milliseconds);
            if ($upgrade->isRunning()) {
                $upgrade->signal(\SIGKILL);
                ++$killed;
            }
            $upgrade->wait();
            $this->nothingGoesOnWithTheRoom();
            $room = new \PDO('sqlite:'.$this->data.'/room.sqlite');
            $whole = $room->query('PRAGMA integrity_check');
            self::assertSame('ok', false === $whole ? '' : $whole->fetchColumn());
        }
        self::assertGreaterThan(0, $killed);
        $upgrade = $this->upgrade();
        $upgrade->mustRun();
        self::assertStringContainsString('Start Lottel again', $upgrade->getOutput());
        self::assertSame([], In::of(json_decode($this->console('lottel:audit'), true), 'differences'));
        self::assertStringContainsString('Already at the latest version', $this->console('doctrine:migrations:migrate', '--allow-no-migration'));
        $kept = glob($this->data.'/backups/*before-migration*.zip') ?: [];
        self::assertStringContainsString('Version20261125000012', BackupFile::at($kept[0] ?? '')->manifest->schema, 'the room as it was before is kept');
        $upgrade = $this->upgrade();
        $upgrade->mustRun();
        $made = '~^Backup: \S+-before-migration(-\d+)?\.zip$~m';
        self::assertMatchesRegularExpression($made, $upgrade->getOutput(), 'one is made also where nothing is made newer');
    }

    /** What an upgrade had begun ends with it. */
    private function nothingGoesOnWithTheRoom(): void
    {
        $end = time() + 60;
        while ([] !== $this->atWork() && time() < $end) {
            usleep(50_000);
        }
        self::assertSame([], $this->atWork());
    }

    /** @return list<string> the commands that have this room in their environment */
    private function atWork(): array
    {
        $files = array_filter(glob('/proc/[0-9]*/environ') ?: [], fn (string $file): bool => str_contains(
            "\0".@file_get_contents($file),
            "\0LOTTEL_DATA={$this->data}\0",
        ));

        return array_values(array_map(static fn (string $file): string => strtr(
            (string) @file_get_contents(\dirname($file).'/cmdline'),
            "\0",
            ' ',
        ), $files));
    }

    private function upgrade(): Process
    {
        return new Process(['bin/upgrade'], \dirname(__DIR__, 3), ['LOTTEL_DATA' => $this->data], timeout: 900);
    }

    private function served(): void
    {
        $this->console('doctrine:migrations:migrate');
        $_ENV['LOTTEL_LAN'] = $_SERVER['LOTTEL_LAN'] = '1';
        $this->openRoom();
        $this->furnish();
    }

    private function postAndFollowTo(string $path, string $to): void
    {
        $this->post($path);
        $this->assertCode(303);
        $this->get($to);
    }
}
