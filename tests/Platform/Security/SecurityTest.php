<?php

declare(strict_types=1);

namespace App\Tests\Platform\Security;

use App\Platform\Security\Account;
use App\Platform\Security\KnownBrowser;
use App\Platform\Security\SameTimeForStrangers;
use App\Platform\Security\SessionStore;
use App\Tests\RoomTestCase;
use App\Tests\StatementLog;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\BrowserKit\Cookie;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactory;
use Symfony\Component\PasswordHasher\PasswordHasherInterface;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Security\Core\Exception\BadCredentialsException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Http\Authenticator\AuthenticatorInterface;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Credentials\PasswordCredentials;
use Symfony\Component\Security\Http\Authenticator\Passport\Passport;
use Symfony\Component\Security\Http\Event\LoginFailureEvent;
use Symfony\Component\Uid\Uuid;

final class SecurityTest extends RoomTestCase
{
    private const PUBLIC = ['sign_in', 'begin', 'bring_room', 'let_in', 'trust', 'trust_authority', 'web_manifest', 'sign_out', 'feed'];

    public function testNothingIsServedWithoutSignIn(): void
    {
        $this->furnish();
        $this->browser->restart();
        $checked = 0;
        foreach ($this->service(RouterInterface::class)->getRouteCollection() as $name => $route) {
            if (\in_array($name, self::PUBLIC, true) || str_starts_with($name, '_')) {
                continue;
            }
            $named = [
                '{id}' => '1',
                '{need}' => '1',
                '{piece}' => '1',
                '{part}' => 'L1',
                '{pattern}' => '1',
                '{occasion}' => '1',
                '{feed}' => '1',
                '{aside}' => '1',
                '{page}' => '1',
                '{loan}' => '1',
                '{list}' => 'pack-out',
                '{name}' => str_contains($route->getPath(), 'lists') ? 'log' : 'x.zip',
                '{sheet}' => '1',
                '{address}' => 'C1',
                '{letters}' => 'C',
                '{subject}' => 'place',
                '{type}' => explode('|', $route->getRequirement('type') ?? '')[0],
            ];
            $path = strtr($route->getPath(), $named);
            $this->browser->request($route->getMethods()[0], $path);
            $this->assertCode(303, $path);
            self::assertSame('/sign-in', parse_url((string) $this->browser->getResponse()->headers->get('Location'), \PHP_URL_PATH), $path);
            ++$checked;
        }
        self::assertGreaterThan(40, $checked);
    }

    public function testEveryAnswerCarriesTheStrictPolicy(): void
    {
        $this->furnish();
        foreach (['/plan', '/nowhere', '/log.csv'] as $path) {
            $this->get($path);
            $policy = (string) $this->browser->getResponse()->headers->get('Content-Security-Policy');
            self::assertStringContainsString("default-src 'none'", $policy);
            self::assertStringContainsString("script-src 'self';", $policy);
            self::assertStringNotContainsString('unsafe', $policy);
            self::assertSame('nosniff', $this->browser->getResponse()->headers->get('X-Content-Type-Options'));
        }
    }

    public function testNoPageCarriesInlineScriptOrStyle(): void
    {
        $this->furnish();
        $this->putInto('C1', 'Tern');
        foreach (['/plan', '/stores', '/stores/places/C1', '/log', '/find?q=tern', '/upkeep', '/stores/new-unit', '/pull', '/make', '/return'] as $path) {
            $page = $this->get($path);
            $this->assertCode(200, $path);
            self::assertCount(0, $page->filter('[style], script:not([src]), style, [onclick]'), $path);
            self::assertSame(
                [],
                $page
                    ->filter('script[src], link[href], img[src]')
                    ->reduce(static fn ($node): bool => !str_starts_with((string) ($node->attr('src') ?? $node->attr('href')), '/'))
                    ->extract(['_name']),
                'nothing from elsewhere',
            );
        }
    }

    /** @return iterable<string, array{array<string, string>, int}> */
    public static function senders(): iterable
    {
        yield 'same origin' => [['HTTP_SEC_FETCH_SITE' => 'same-origin'], 303];
        yield 'other site' => [['HTTP_SEC_FETCH_SITE' => 'cross-site'], 403];
        yield 'same site, other origin' => [['HTTP_SEC_FETCH_SITE' => 'same-site'], 403];
        yield 'typed in' => [['HTTP_SEC_FETCH_SITE' => 'none'], 403];
        yield 'old browser, own origin' => [['HTTP_ORIGIN' => 'http://localhost'], 303];
        yield 'old browser, own referer' => [['HTTP_REFERER' => 'http://localhost/plan'], 303];
        yield 'old browser, other origin' => [['HTTP_ORIGIN' => 'http://localhost.example'], 403];
        yield 'says nothing' => [[], 403];
    }

    /** @param array<string, string> $headers */
    #[DataProvider('senders')]
    public function testWritesAreTakenFromOwnPagesOnly(array $headers, int $expected): void
    {
        $this->furnish();
        $this->browser->setServerParameters([]);
        $this->browser->request('POST', '/kits', ['name' => 'A kit', '_request' => '0190aaaa-0000-7000-8000-000000000001'], [], $headers);
        $this->assertCode($expected);
        self::assertSame(303 === $expected ? 1 : 0, $this->number('SELECT count(*) FROM kit'));
    }

    public function testAHelperPullsAndReturnsButDoesNotChangeTheRoom(): void
    {
        $this->furnish();
        [$item] = $this->putInto('C1', 'Tern');
        $kit = $this->planKit('Terns', [[$item, 1]]);
        $this->signIn('hank');
        foreach (
            [
                '/stores/new-unit',
                '/stores/places/C1',
                '/stores/places/C1/things',
                '/stores/places/C1/inner',
                "/items/{$item->id}/edit",
                "/items/{$item->id}/home",
                "/items/{$item->id}/stock",
                "/items/{$item->id}/companions",
                '/upkeep/people',
            ] as $path
        ) {
            $this->post($path, ['name' => 'changed', 'address' => 'C2']);
            $this->assertCode(Response::HTTP_FORBIDDEN, $path);
            self::assertStringContainsString('Only the owner', $this->text());
        }
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $item)]]);
        $this->postAndFollow("/kits/{$kit}/return");
        $this->postAndFollow("/kits/{$kit}/return/home", ['items' => [$item->id], 'cared' => ['inky']]);
        self::assertSame(1, $this->balances($item)['C1']);
        $page = $this->get('/stores/places/C1');
        self::assertCount(0, $page->filter('form[action$="/things"]'), 'what is not allowed is not offered');
    }

    public function testAPasswordIsHashedAndSignsIn(): void
    {
        $this->furnish();
        $this->browser->restart();
        self::assertStringNotContainsString('olives-password', $this->account('olive')->password);
        $this->signInWith('olive', 'wrong-password');
        self::assertStringContainsString('do not fit together', $this->text());
        $this->signInWith('olive', 'olives-password');
        self::assertStringContainsString('Kits', $this->text());
    }

    public function testSignInIsThrottled(): void
    {
        $this->furnish();
        $this->browser->restart();
        for ($i = 0; $i < 5; ++$i) {
            $this->signInWith('olive', 'wrong-password');
            self::assertStringContainsString('do not fit together', $this->text());
        }
        $this->signInWith('olive', 'olives-password');
        self::assertStringContainsString('Too many tries', $this->text(), 'even the right password has to wait');
        $this->signInWith('hank', 'hanks-password');
        self::assertStringContainsString('Kits', $this->text(), 'somebody else is not locked out');
    }

    public function testAFormThatCameAfterTheSessionEndedIsKept(): void
    {
        $this->furnish();
        [$item] = $this->putInto('C1', 'Tern');
        $kit = $this->planKit('Terns', [[$item, 1]]);
        $this->browser->restart();
        $this->signInWith('hank', 'hanks-password');
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->browser->getCookieJar()->expire('MOCKSESSID');
        $this->post("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $item)]]);
        $this->assertCode(303);
        $this->browser->followRedirect();
        self::assertStringContainsString('What you had just sent is kept', $this->text());
        $this->signInWith('hank', 'hanks-password');
        self::assertStringContainsString('Go on where you were', $this->text());
        self::assertSame(['C1' => 1, 'bought' => -1], $this->balances($item), 'nothing is written behind a person’s back');
        $this->browser->submit($this->browser->getCrawler()->filter('main form')->form());
        $this->assertCode(303);
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->balances($item));
    }

    public function testHtmxIsSentToTheSignInPageAsAWhole(): void
    {
        $this->furnish();
        $this->browser->restart();
        $this->browser->request('GET', '/find?q=a', [], [], ['HTTP_HX_REQUEST' => 'true']);
        self::assertSame('/sign-in', $this->browser->getResponse()->headers->get('HX-Redirect'));
    }

    public function testAPasswordInAnInterruptedFormIsNeverShownAndTypedAgain(): void
    {
        $this->furnish();
        $this->browser->restart();
        $this->signInWith('olive', 'olives-password');
        $this->browser->getCookieJar()->expire('MOCKSESSID');
        $this->post('/upkeep/people', ['name' => 'Wyn', 'login' => 'wyn', 'password' => 'wyns-secret-word']);
        $this->browser->followRedirect();
        $this->signInWith('olive', 'olives-password');
        self::assertStringContainsString('Go on where you were', $this->text());
        self::assertStringNotContainsString('wyns-secret-word', (string) $this->browser->getResponse()->getContent());
        $this->browser->submit($this->browser->getCrawler()->filter('main form')->form(['password' => 'wyns-secret-word']));
        $this->assertCode(303);
        self::assertSame('Wyn', $this->account('wyn')->name);
    }

    public function testFormsOfStrangersAreNotKept(): void
    {
        $this->furnish();
        $this->browser->restart();
        $this->post('/kits', ['name' => str_repeat('x', 90_000)]);
        $this->browser->followRedirect();
        self::assertStringNotContainsString('What you had just sent is kept', $this->text());
        $this->browser->getCookieJar()->set(new Cookie($this->service(KnownBrowser::class)->cookieName(), '99999999999.'.str_repeat('0', 64)));
        $this->post('/kits', ['name' => 'made up']);
        $this->browser->followRedirect();
        self::assertStringNotContainsString('What you had just sent is kept', $this->text(), 'a mark that was made up is none');
    }

    public function testAForgedHostLeadsNowhere(): void
    {
        $this->furnish();
        $this->browser->request('GET', '/plan', [], [], ['HTTP_HOST' => 'elsewhere.example']);
        $this->assertCode(400);
        self::assertStringNotContainsString('Something in Lottel broke', $this->text());
        foreach ($this->browser->getResponse()->headers->all() as $values) {
            self::assertStringNotContainsString('elsewhere.example', implode(' ', $values));
        }
        foreach (['localhost', '127.0.0.1:8130', '[::1]:8130'] as $host) {
            $this->browser->request('GET', '/sign-in', [], [], ['HTTP_HOST' => $host]);
            self::assertLessThan(400, $this->code(), $host);
        }
    }

    public function testTheThrottleForgetsWhatWasCountedByAClockThatWasWrong(): void
    {
        $this->furnish();
        $this->browser->restart();
        $this->database()->executeStatement("INSERT INTO sign_in_failure (subject, failures, since) VALUES ('olive|127.0.0.1', 99, ?)", [time() + 86_400]);
        $this->signInWith('olive', 'olives-password');
        self::assertStringContainsString('Kits', $this->text());
    }

    public function testALogInThatNobodyHasCostsAHashToo(): void
    {
        $hasher = new class implements PasswordHasherInterface {
            public int $hashed = 0;

            public function hash(#[\SensitiveParameter] string $plainPassword): string
            {
                ++$this->hashed;

                return 'hash';
            }

            public function verify(string $hashedPassword, #[\SensitiveParameter] string $plainPassword): bool
            {
                return false;
            }

            public function needsRehash(string $hashedPassword): bool
            {
                return false;
            }
        };
        $listener = new SameTimeForStrangers(new PasswordHasherFactory([Account::class => $hasher]));
        $passport = new Passport(new UserBadge('nobody'), new PasswordCredentials('guess'));
        $event = static fn (\Exception $why): LoginFailureEvent => new LoginFailureEvent(
            new BadCredentialsException(previous: $why),
            self::createStub(AuthenticatorInterface::class),
            new Request(),
            null,
            'main',
            $passport,
        );
        $listener($event(new \RuntimeException('wrong password')));
        self::assertSame(0, $hasher->hashed, 'a wrong password was hashed already');
        $listener($event(new UserNotFoundException()));
        self::assertSame(1, $hasher->hashed);
    }

    public function testAnotherPersonsRequestIdIsNotTakenAsDone(): void
    {
        $this->furnish();
        $id = (string) Uuid::v7();
        $this->post('/kits', ['name' => 'Olive’s kit'], $id);
        $this->assertCode(303);
        $this->signIn('hank');
        $this->post('/kits', ['name' => 'Hank’s kit', '_form' => 'kit'], $id);
        $this->assertCode(409);
        self::assertStringContainsString('nothing was written', $this->text());
        self::assertStringContainsString('Hank’s kit', (string) $this->browser->getResponse()->getContent(), 'what was typed is still there');
        self::assertSame(1, $this->number('SELECT count(*) FROM kit'));
        foreach (['00000000-0000-0000-0000-000000000000', 'ffffffff-ffff-ffff-ffff-ffffffffffff'] as $none) {
            $this->post('/kits', ['name' => 'No id'], $none);
            $this->assertCode(422);
        }
    }

    public function testAPasswordIsChangedAndOtherSessionsEnd(): void
    {
        $this->furnish();
        $this->browser->restart();
        $this->signInWith('hank', 'hanks-password');
        $jar = $this->browser->getCookieJar();
        $other = $jar->get('MOCKSESSID');
        self::assertNotNull($other);
        $jar->expire('MOCKSESSID');
        $this->signInWith('hank', 'hanks-password');
        $page = $this->post('/upkeep/password', ['password_now' => 'wrong', 'password_new' => 'short', '_form' => 'password']);
        $this->assertCode(422);
        self::assertStringContainsString('This is not your password.', $this->text());
        self::assertSame('', (string) $page->filter('#password-password_new')->attr('value'));
        $this->postAndFollow('/upkeep/password', ['password_now' => 'hanks-password', 'password_new' => 'a new long one']);
        self::assertStringContainsString('Your password is changed', $this->text(), 'this session goes on');
        $this->get('/plan');
        $this->assertCode(200);
        $jar->set($other);
        $this->get('/plan');
        $this->assertCode(303, 'the other one has ended');
        $jar->clear();
        $this->signInWith('hank', 'hanks-password');
        self::assertStringContainsString('do not fit together', $this->text());
        $this->signInWith('hank', 'a new long one');
        self::assertStringContainsString('Kits', $this->text());
    }

    public function testAPersonIsSignedOutEverywhereOrRemovedAndTheLogKeepsTheName(): void
    {
        $this->furnish();
        [$item] = $this->putInto('C1', 'Tern');
        $kit = $this->planKit('Terns', [[$item, 1]]);
        $hank = (int) $this->account('hank')->id;
        $this->browser->restart();
        $this->signInWith('hank', 'hanks-password');
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $item)]]);
        $session = $this->browser->getCookieJar()->get('MOCKSESSID');
        self::assertNotNull($session);
        $this->post("/upkeep/people/{$hank}/remove");
        $this->assertCode(403);

        $asOlive = function (string $path): void {
            $this->browser->getCookieJar()->clear();
            $this->signInWith('olive', 'olives-password');
            $this->postAndFollow($path);
        };
        $asOlive("/upkeep/people/{$hank}/end-sessions");
        $this->browser->getCookieJar()->clear();
        $this->browser->getCookieJar()->set($session);
        $this->get('/plan');
        $this->assertCode(303);
        $this->signInWith('hank', 'hanks-password');
        self::assertStringContainsString('Kits', $this->text(), 'but may come in again');

        $asOlive("/upkeep/people/{$hank}/remove");
        $this->get('/log');
        self::assertStringContainsString('Hank', $this->text());
        $this->post("/upkeep/people/{$hank}/end-sessions");
        $this->assertCode(404);
        $this->post('/upkeep/people/'.$this->account('olive')->id.'/remove');
        $this->assertCode(409, 'somebody has to look after the room');
        $this->browser->getCookieJar()->clear();
        foreach (['hank', '~'.$hank] as $login) {
            $this->signInWith($login, 'hanks-password');
            self::assertStringContainsString('do not fit together', $this->text());
        }
    }

    public function testAPasswordIsResetByTheConsole(): void
    {
        $this->furnish();
        $kernel = self::$kernel ?? throw new \LogicException();
        $tester = new CommandTester((new Application($kernel))->find('lottel:reset-password'));
        self::assertSame(2, $tester->execute(['login' => 'nobody']));
        self::assertSame(0, $tester->execute(['login' => 'HANK']));
        self::assertMatchesRegularExpression('/^The new password of Hank is: (\S{12})$/m', $tester->getDisplay());
        $this->browser->restart();
        $this->signInWith('hank', 'hanks-password');
        self::assertStringContainsString('do not fit together', $this->text());
        $this->signInWith('hank', substr(trim($tester->getDisplay()), -12));
        self::assertStringContainsString('Kits', $this->text());
    }

    public function testASessionIsKeptWholeInTheDatabase(): void
    {
        $store = $this->service(SessionStore::class);
        $store->open('', 'lottel');
        self::assertTrue($store->write('one-session', "weird \0 bytes \xff and more"));
        self::assertSame("weird \0 bytes \xff and more", $store->read('one-session'));
        self::assertSame(0, $this->number("SELECT count(*) FROM session WHERE id = 'one-session'"), 'the id itself is not in the database');
        $this->database()->executeStatement('UPDATE session SET ends_at = ends_at - 40000');
        $store->read('one-session');
        self::assertTrue($store->updateTimestamp('one-session', ''));
        self::assertSame(
            1,
            $this->number('SELECT count(*) FROM session WHERE ends_at > ?', [time() + 43_000]),
            'it lives on while it is used',
        );
        $this->database()->executeStatement('UPDATE session SET ends_at = 1');
        self::assertSame('', $store->read('one-session'), 'it ends by itself');
        self::assertSame(1, $store->gc(1));
    }

    public function testReadingDoesNotWaitForAWriterToRenewItsSession(): void
    {
        $store = $this->service(SessionStore::class);
        $store->open('', 'lottel');
        $store->write('one-session', 'words');
        /** @return list<string> */
        $asked = function () use ($store): array {
            $store->read('one-session');
            $log = $this->service(StatementLog::class);
            $before = \count($log->statements);
            $store->updateTimestamp('one-session', 'words');

            return \array_slice($log->statements, $before);
        };
        self::assertSame([], $asked(), 'nothing is written while it has long to live');
        $this->database()->executeStatement('UPDATE session SET ends_at = ends_at - 40000');
        $renewed = ['PRAGMA busy_timeout = 0', 'UPDATE session SET ends_at = ? WHERE id = ?', 'PRAGMA busy_timeout = 5000'];
        self::assertSame($renewed, $asked());
        self::assertSame([], $asked(), 'it was renewed');
    }

    private function signInWith(string $login, string $password): void
    {
        $this->browser->request('POST', '/sign-in', ['login' => $login, 'password' => $password]);
        while ($this->browser->getResponse()->isRedirection()) {
            $this->browser->followRedirect();
        }
    }
}
