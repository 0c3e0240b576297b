<?php

declare(strict_types=1);

namespace App\Tests;

use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/** Plants faults one at a time in a copy of the code and runs the tests there: what no test finds, no test asks about. */
final class Faults
{
    /** What stands in PHP, and what is put there instead. */
    private const SWAPS = [
        '===' => '!==', '!==' => '===', '<' => '<=', '<=' => '<', '>' => '>=', '>=' => '>', '&&' => '||', '||' => '&&', '+' => '-',
        'min' => 'max', 'max' => 'min', 'true' => 'false', 'false' => 'true',
    ];

    /** Seconds after which a fault has made something endless, and is found. */
    private const HANGS = 1800;

    /** A condition among others in SQL, without a value that is given: what is given must be asked for. */
    private const CONDITION = '~ AND (?:NOT )?[a-z_.]+(?: IS(?: NOT)? NULL| (?:=|<>|<=|>=|<|>) (?:\'[^\']*\'|[a-z_.]+))(?=[\s)"\']|$)~';

    private readonly string $copy;

    /**
     * @param int $reach how far the tests of a fault reach: 0 those beside it, 1 its wing, 2 all
     * @param string $within only files whose path begins so, empty for all
     */
    public function __construct(private readonly string $root, private readonly int $reach = 1, private readonly string $within = '')
    {
        $this->copy = $root.'/var/faults'.('' === $within ? '' : '-'.strtr($within, '/', '-'));
    }

    /**
     * Plants some, half of them in SQL.
     *
     * @return int how many survived
     */
    public function plant(int $many, int $seed): int
    {
        mt_srand($seed);

        return $this->survivors($this->chosen($this->sites(), $many));
    }

    /**
     * Leaves each condition of SQL out once.
     *
     * @return int how many survived
     */
    public function plantInSql(): int
    {
        return $this->survivors($this->sites()['sql']);
    }

    /** @param list<array{string, int, string, string}> $sites */
    private function survivors(array $sites): int
    {
        $this->copyCode();
        $survived = 0;
        foreach ($sites as [$file, $at, $was, $becomes]) {
            $code = (string) file_get_contents("{$this->copy}/{$file}");
            file_put_contents("{$this->copy}/{$file}", substr_replace($code, $becomes, $at, \strlen($was)));
            $isFound = $this->isFound($file);
            file_put_contents("{$this->copy}/{$file}", $code);
            $survived += $isFound ? 0 : 1;
            $line = 1 + substr_count(substr($code, 0, $at), "\n");
            printf("%s %s:%d  %s -> %s\n", $isFound ? 'found   ' : 'SURVIVED', $file, $line, trim($was), trim($becomes));
        }
        printf("\n%d planted, %d survived\n", \count($sites), $survived);

        return $survived;
    }

    private function copyCode(): void
    {
        $files = new Filesystem();
        $files->remove($this->copy);
        $files->mkdir($this->copy.'/var');
        foreach (['bin', 'config', 'core', 'demo', 'docs', 'migrations', 'public', 'src', 'templates', 'tests'] as $folder) {
            $files->mirror("{$this->root}/{$folder}", "{$this->copy}/{$folder}");
        }
        foreach (['.env', '.env.test', 'composer.json', 'phpunit.xml.dist'] as $file) {
            $files->copy("{$this->root}/{$file}", "{$this->copy}/{$file}");
        }
        // Hard links: what is autoloaded must be found beneath the copy.
        (new Process(['cp', '-al', $this->root.'/vendor', $this->copy.'/vendor']))->mustRun();
    }

    /** @return array{php: list<array{string, int, string, string}>, sql: list<array{string, int, string, string}>} file, where, what, what instead */
    private function sites(): array
    {
        $sites = ['php' => [], 'sql' => []];
        $files = (new Finder())->files()->in([$this->root.'/src', $this->root.'/core/src'])->notPath('Demo')->notPath('Bench')->name('*.php')->sortByName();
        foreach ($files as $file) {
            $path = substr($file->getPathname(), \strlen($this->root) + 1);
            if (!str_starts_with($path, $this->within)) {
                continue;
            }
            $sites['php'] = [...$sites['php'], ...self::inPhp($path, $file->getContents())];
            $sites['sql'] = [...$sites['sql'], ...self::inSql($path, $file->getContents())];
        }

        return $sites;
    }

    /** @return list<array{string, int, string, string}> */
    private static function inPhp(string $path, string $code): array
    {
        $sites = [];
        foreach (\PhpToken::tokenize($code) as $token) {
            if (isset(self::SWAPS[$token->text]) && !$token->is([\T_CONSTANT_ENCAPSED_STRING, \T_COMMENT, \T_DOC_COMMENT])) {
                $sites[] = [$path, $token->pos, $token->text, self::SWAPS[$token->text]];
            }
        }

        return $sites;
    }

    /** @return list<array{string, int, string, string}> */
    private static function inSql(string $path, string $code): array
    {
        preg_match_all(self::CONDITION, $code, $found, \PREG_OFFSET_CAPTURE);

        return array_map(static fn (array $one): array => [$path, $one[1], $one[0], ''], $found[0]);
    }

    /**
     * @param array{php: list<array{string, int, string, string}>, sql: list<array{string, int, string, string}>} $sites
     *
     * @return list<array{string, int, string, string}> each once, half of them in SQL, spread over all folders alike
     */
    private function chosen(array $sites, int $many): array
    {
        $chosen = [];
        foreach (['sql' => intdiv($many, 2), 'php' => $many - intdiv($many, 2)] as $kind => $some) {
            $byFolder = [];
            foreach ($sites[$kind] as $site) {
                $byFolder[\dirname($site[0])][] = $site;
            }
            for ($n = 0; $n < $some && [] !== $byFolder; ++$n) {
                $folder = array_rand($byFolder);
                $chosen[] = array_splice($byFolder[$folder], mt_rand(0, \count($byFolder[$folder]) - 1), 1)[0];
                $byFolder = array_filter($byFolder);
            }
        }

        return $chosen;
    }

    private function isFound(string $file): bool
    {
        $lint = new Process(['php', '-l', $file], $this->copy);
        if (0 !== $lint->run()) {
            return true;
        }
        $isCore = str_starts_with($file, 'core/');
        $beside = str_replace($isCore ? 'core/src' : 'src', $isCore ? 'core/tests' : 'tests', \dirname($file));
        while (!is_dir($this->copy.'/'.$beside)) {
            $beside = \dirname($beside);
        }

        $wider = \in_array(\dirname($beside), ['tests', 'core/tests'], true) ? $beside : \dirname($beside);
        $reached = [[$beside], [$beside, $wider], [$beside, $wider, 'core/tests', 'tests']][$this->reach];
        foreach (array_unique($reached) as $folder) {
            $bootstrap = str_starts_with($folder, 'core/') ? ['--bootstrap', 'vendor/autoload.php'] : [];
            if ($this->fails(['vendor/bin/phpunit', '--stop-on-defect', ...$bootstrap, $folder])) {
                return true;
            }
        }

        return false;
    }

    /** @param list<string> $command */
    private function fails(array $command): bool
    {
        try {
            return 0 !== (new Process($command, $this->copy, ['LOTTEL_PREPARED' => 'once'], timeout: self::HANGS))->run();
        } catch (ProcessTimedOutException) {
            return true;
        }
    }
}
