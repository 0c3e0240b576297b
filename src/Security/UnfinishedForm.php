<?php

declare(strict_types=1);

namespace App\Security;

use Symfony\Component\HttpFoundation\Session\SessionInterface;

/** A form that was sent when its session had ended. */
final readonly class UnfinishedForm
{
    private const KEY = 'unfinished_form';
    private const MOST_BYTES = 500_000;

    /** @param array<mixed> $fields */
    public function __construct(public string $path, public array $fields)
    {
    }

    public function keep(SessionInterface $session): void
    {
        if (\strlen(http_build_query($this->fields)) <= self::MOST_BYTES) {
            $session->set(self::KEY, ['path' => $this->path, 'fields' => $this->fields]);
        }
    }

    public static function waiting(SessionInterface $session): ?self
    {
        $kept = $session->get(self::KEY);

        return \is_array($kept) && \is_string($kept['path']) && \is_array($kept['fields']) ? new self($kept['path'], $kept['fields']) : null;
    }

    public static function forget(SessionInterface $session): void
    {
        $session->remove(self::KEY);
    }

    /** @return array<string, string> the fields as a form names them */
    public function flat(): array
    {
        $flat = [];
        foreach (explode('&', http_build_query($this->fields)) as $pair) {
            [$name, $value] = explode('=', $pair, 2) + [1 => ''];
            if ('' !== $name) {
                $flat[urldecode($name)] = urldecode($value);
            }
        }

        return $flat;
    }
}
