<?php

declare(strict_types=1);

namespace App\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\RouterInterface;

final class SecurityTest extends RoomTestCase
{
    public function testNothingIsServedWithoutSignIn(): void
    {
        $this->furnish();
        $this->browser->restart();
        $checked = 0;
        foreach ($this->service(RouterInterface::class)->getRouteCollection() as $name => $route) {
            if (\in_array($name, ['sign_in', 'begin', 'sign_out'], true) || str_starts_with($name, '_')) {
                continue;
            }
            $path = str_replace(['{id}', '{need}', '{address}', '{letters}', '{subject}', '{type}'], ['1', '1', 'C1', 'C', 'place', 'pdf'], $route->getPath());
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
            self::assertSame([], $page->filter('script[src], link[href], img[src]')->reduce(static fn ($node): bool => !str_starts_with((string) ($node->attr('src') ?? $node->attr('href')), '/'))->extract(['_name']), 'nothing from elsewhere');
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
        self::assertSame(303 === $expected ? 1 : 0, (int) $this->database()->fetchOne('SELECT count(*) FROM kit'));
    }

    public function testAHelperPullsAndReturnsButDoesNotChangeTheRoom(): void
    {
        $this->furnish();
        [$item] = $this->putInto('C1', 'Tern');
        $kit = $this->planKit('Terns', [[$item, 1]]);
        $this->signIn('hank');
        foreach (['/stores/new-unit', '/stores/places/C1', '/stores/places/C1/things', '/stores/places/C1/inner', "/items/{$item->id}/edit", "/items/{$item->id}/home", "/items/{$item->id}/stock", "/items/{$item->id}/companions", '/upkeep/people'] as $path) {
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

    private function signInWith(string $login, string $password): void
    {
        $this->browser->request('POST', '/sign-in', ['login' => $login, 'password' => $password]);
        while ($this->browser->getResponse()->isRedirection()) {
            $this->browser->followRedirect();
        }
    }
}
