<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Symfony\Component\HttpFoundation\Session\SessionInterface;

/** A form that was sent when its session had ended. Passwords in it are not kept; they are typed again. */
final readonly class UnfinishedForm
{
    private const KEY = 'unfinished_form';
    private const MOST_BYTES = 100_000;

    /**
     * @param array<mixed> $fields
     * @param list<string> $secrets the names of the fields that are to be typed again
     */
    private function __construct(public string $path, public array $fields, public array $secrets)
    {
    }

    /** @param array<mixed> $fields */
    public static function sent(string $path, array $fields): self
    {
        $secrets = array_values(array_filter(array_map(strval(...), array_keys($fields)), self::isSecret(...)));

        return new self($path, array_diff_key($fields, array_flip($secrets)), $secrets);
    }

    public static function isSecret(string $field): bool
    {
        return str_contains(strtolower($field), 'password');
    }

    public function keep(SessionInterface $session): void
    {
        if (\strlen(http_build_query($this->fields)) <= self::MOST_BYTES) {
            $session->set(self::KEY, ['path' => $this->path, 'fields' => $this->fields, 'secrets' => $this->secrets]);
        }
    }

    public static function waiting(SessionInterface $session): ?self
    {
        $kept = $session->get(self::KEY);
        if (!\is_array($kept) || !\is_string($kept['path'] ?? null) || !\is_array($kept['fields'] ?? null)) {
            return null;
        }
        $secrets = array_filter((array) ($kept['secrets'] ?? []), is_string(...));

        return new self($kept['path'], $kept['fields'], array_values($secrets));
    }

    public static function forget(SessionInterface $session): void
    {
        $session->remove(self::KEY);
    }

    /** @return array<string, string> the fields as a form names them */
    public function flat(): array
    {
        return self::flattened($this->fields);
    }

    /**
     * @param array<mixed> $fields
     *
     * @return array<string, string>
     */
    public static function flattened(array $fields): array
    {
        $flat = [];
        foreach (explode('&', http_build_query($fields)) as $pair) {
            [$name, $value] = explode('=', $pair, 2) + [1 => ''];
            if ('' !== $name) {
                $flat[urldecode($name)] = mb_scrub(urldecode($value));
            }
        }

        return $flat;
    }
}
