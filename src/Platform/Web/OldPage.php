<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\DependencyInjection\Attribute\Exclude;
use Symfony\Component\HttpFoundation\Request;

/**
 * A form that may have been made a while ago: only what its person changed is written, the rest stays as it is by now. Where somebody else has
 * changed the same field meanwhile, both values are told.
 */
#[Exclude]
final readonly class OldPage
{
    public const WAS = '_was';

    /** @param array<string, string|list<string>> $was what stood in the form's fields when its page was made */
    private function __construct(private Request $request, private array $was)
    {
    }

    /** The form of a request that says what stood in it; null where it does not. */
    public static function of(Request $request): ?self
    {
        $said = $request->request->all()[self::WAS] ?? null;
        $was = \is_string($said) ? json_decode($said, true) : null;
        if (!\is_array($was)) {
            return null;
        }
        $fields = [];
        foreach ($was as $name => $value) {
            $fields[(string) $name] = \is_array($value) ? array_values(array_filter($value, \is_string(...))) : (\is_string($value) ? $value : '');
        }

        return new self($request, $fields);
    }

    /** Lets the form follow what is written down by now; what both have changed is refused beside its field. */
    public function follow(KeptForm $now, Input $input): void
    {
        $seen = $this->was;
        foreach ($now->fields as $name => $current) {
            $was = $this->was[$name] ?? null;
            if (null === $was || $was === $current) {
                continue;
            }
            $typed = $this->typed($name, \is_array($current));
            $seen[$name] = $current;
            if (\is_array($typed) && \is_array($was) && \is_array($current)) {
                $this->put($name, array_values(array_unique([...array_diff($current, array_diff($was, $typed)), ...array_diff($typed, $was)])));
            } elseif ($typed === $was) {
                $this->put($name, $current);
            } elseif ($typed !== $current) {
                $input->refuse($name, self::both(self::word($current), self::word($typed)));
            }
        }
        // Whoever sends it again has seen what it is by now.
        $this->request->attributes->set(self::WAS, $seen);
    }

    private static function both(string $now, string $typed): string
    {
        $said = static fn (string $value): string => '' === $value ? 'nothing' : '“'.mb_strimwidth($value, 0, 80, '…').'”';

        return \sprintf('Somebody has changed this meanwhile: it is %s now, and you wrote %s. Leave here what is right.', $said($now), $said($typed));
    }

    /** @return string|list<string> */
    private function typed(string $name, bool $isList): string|array
    {
        $value = $this->request->request->all()[$name] ?? null;
        if ($isList) {
            return \is_array($value) ? array_values(array_filter($value, \is_string(...))) : [];
        }

        return \is_string($value) ? KeptForm::plain($value) : '';
    }

    /** @param string|list<string> $value */
    private function put(string $name, string|array $value): void
    {
        '' === $value || [] === $value ? $this->request->request->remove($name) : $this->request->request->set($name, $value);
        if ('' === $value) {
            $this->request->request->set($name, '');
        }
    }

    /** @param string|list<string> $value */
    private static function word(string|array $value): string
    {
        return \is_array($value) ? implode(', ', $value) : $value;
    }
}
