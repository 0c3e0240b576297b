<?php

declare(strict_types=1);

namespace Lottel\Core\Tests;

use PHPUnit\Framework\TestCase;

/** The core knows nothing but itself and PHP. */
final class IsolationTest extends TestCase
{
    private const FORBIDDEN_CALLS = [
        'time',
        'microtime',
        'date',
        'rand',
        'mt_rand',
        'random_int',
        'random_bytes',
        'shuffle',
        'array_rand',
        'getenv',
        'file_get_contents',
        'file_put_contents',
        'fopen',
        'header',
        'hrtime',
    ];

    public function testEveryNameInTheCoreIsItsOwnOrPhps(): void
    {
        $checked = 0;
        foreach ($this->files() as $file => $tokens) {
            foreach ($tokens as $token) {
                if (!$token->is([\T_NAME_QUALIFIED, \T_NAME_FULLY_QUALIFIED])) {
                    continue;
                }
                $name = ltrim($token->text, '\\');
                ++$checked;
                self::assertTrue(
                    str_starts_with($name, 'Lottel\Core') || $this->isPhps($name) || !str_contains($token->text, '\\') || $this->isRelative($name),
                    "{$file}, line {$token->line}: {$name} is neither the core's own nor PHP's",
                );
            }
        }
        self::assertGreaterThan(50, $checked);
    }

    public function testTheCoreHasNoClockAndNoDiceOfItsOwn(): void
    {
        foreach ($this->files() as $file => $tokens) {
            foreach ($tokens as $index => $token) {
                $isCall = $token->is([\T_STRING, \T_NAME_FULLY_QUALIFIED]) && '(' === ($tokens[$index + 1]->text ?? '');
                $isMethod = \in_array($tokens[$index - 1]->text ?? '', ['->', '::', 'function', '?->'], true);
                if ($isCall && !$isMethod) {
                    self::assertNotContains(strtolower(ltrim($token->text, '\\')), self::FORBIDDEN_CALLS, "{$file}, line {$token->line}");
                }
                if ($token->is(\T_NEW)) {
                    self::assertNotContains(ltrim($tokens[$index + 1]->text ?? '', '\\'), ['DateTime', 'DateTimeImmutable'], "{$file}, line {$token->line}");
                }
            }
        }
    }

    private function isPhps(string $name): bool
    {
        $isKnown = class_exists($name) || interface_exists($name) || \function_exists($name) || \defined($name);
        if (!$isKnown || class_exists($name, false) && !(new \ReflectionClass($name))->isInternal()) {
            return false;
        }

        return !str_contains($name, '\\');
    }

    /** A name relative to the core's namespace, as in `Log\LoggedPlace`. */
    private function isRelative(string $name): bool
    {
        return class_exists('Lottel\Core\\'.$name) || enum_exists('Lottel\Core\\'.$name);
    }

    /** @return iterable<string, list<\PhpToken>> */
    private function files(): iterable
    {
        $directory = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(\dirname(__DIR__).'/src', \FilesystemIterator::SKIP_DOTS));
        foreach ($directory as $file) {
            \assert($file instanceof \SplFileInfo);
            $tokens = \PhpToken::tokenize((string) file_get_contents($file->getPathname()));
            yield $file->getFilename() => array_values(
                array_filter($tokens, static fn (\PhpToken $token): bool => !$token->is([\T_WHITESPACE, \T_COMMENT, \T_DOC_COMMENT])),
            );
        }
    }
}
