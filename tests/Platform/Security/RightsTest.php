<?php

declare(strict_types=1);

namespace App\Tests\Platform\Security;

use App\Tests\RoomTestCase;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who may write: each writing route says it, and what it says is so. A child is a helper whose limits stand in the log book. */
final class RightsTest extends RoomTestCase
{
    private const SIGNED_OUT_BY_THE_FIREWALL = ['sign_out'];

    public function testEachWritingRouteSaysForWhomItIs(): void
    {
        self::assertSame([], array_keys(array_filter($this->rights(), static fn (array $rights): bool => [] === $rights)));
    }

    public function testWhatIsForOwnersIsRefusedToHelpers(): void
    {
        $this->furnish();
        $this->signIn('hank');
        foreach (array_keys(array_filter($this->rights(), static fn (array $rights): bool => \in_array('ROLE_OWNER', $rights, true))) as $name) {
            $this->post($this->pathOf($name));
            self::assertSame(403, $this->code(), $name);
        }
    }

    public function testNothingIsWrittenByWhoIsNotSignedIn(): void
    {
        $this->furnish();
        $this->browser->restart();
        foreach (array_keys(array_filter($this->rights(), static fn (array $rights): bool => !\in_array('PUBLIC_ACCESS', $rights, true))) as $name) {
            $this->post($this->pathOf($name));
            self::assertContains($this->code(), [302, 303, 401], $name);
            self::assertSame('/sign-in', $this->browser->getResponse()->headers->get('Location', '/sign-in'), $name);
        }
    }

    public function testHelpersAreNotRefusedWhatIsTheirs(): void
    {
        $this->furnish();
        $this->signIn('hank');
        foreach (array_keys(array_filter($this->rights(), static fn (array $rights): bool => ['ROLE_HELPER'] === $rights)) as $name) {
            $this->post($this->pathOf($name));
            self::assertNotSame(403, $this->code(), $name);
            self::assertLessThan(500, $this->code(), $name);
        }
    }

    /** @return array<string, list<string>> for whom each writing route is, as its controller says it, by its name */
    private function rights(): array
    {
        $rights = [];
        foreach ($this->routes() as $name => $route) {
            if (['GET'] === $route->getMethods() || \in_array($name, self::SIGNED_OUT_BY_THE_FIREWALL, true)) {
                continue;
            }
            $controller = $route->getDefault('_controller');
            [$class, $method] = explode('::', \is_string($controller) ? $controller : '') + [1 => '__invoke'];
            \assert(class_exists($class));
            $said = [
                ...(new \ReflectionClass($class))->getAttributes(IsGranted::class),
                ...(new \ReflectionMethod($class, $method))->getAttributes(IsGranted::class),
            ];
            $rights[$name] = array_map(static function (\ReflectionAttribute $one): string {
                $attribute = $one->newInstance()->attribute;

                return \is_string($attribute) ? $attribute : '';
            }, $said);
        }
        self::assertGreaterThan(200, \count($rights));

        return $rights;
    }

    private function pathOf(string $name): string
    {
        $route = $this->routes()[$name];

        return (string) preg_replace_callback('~\{(\w+)\}~', static function (array $found) use ($route): string {
            $asked = $route->getRequirement($found[1]) ?? '.+';
            foreach (['1', 'C1', 'L1', 'item', 'gpl'] as $value) {
                if (1 === preg_match("~^(?:{$asked})$~D", $value)) {
                    return $value;
                }
            }

            throw new \LogicException($asked);
        }, $route->getPath());
    }

    /** @return array<string, Route> */
    private function routes(): array
    {
        return $this->service(RouterInterface::class)->getRouteCollection()->all();
    }
}
