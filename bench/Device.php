<?php

declare(strict_types=1);

/** A device in a workroom, for bench/devices.php: it works as a page does, form by form, and notes what it was answered. */
final class Device
{
    private const MOST_STEPS = 60;
    private const MOST_TRIES = 8;
    private readonly CurlHandle $curl;

    /** @var resource */
    private $notes;

    public function __construct(private readonly string $url, string $login, string $password, string $notes)
    {
        $this->notes = fopen($notes, 'w') ?: throw new RuntimeException('Its notes cannot be written.');
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [
            \CURLOPT_RETURNTRANSFER => true, \CURLOPT_COOKIEFILE => '', \CURLOPT_HTTPHEADER => ['Sec-Fetch-Site: same-origin', 'Expect:'],
        ]);
        [$status] = $this->ask('/sign-in', http_build_query(['login' => $login, 'password' => $password]));
        if (303 !== $status) {
            throw new RuntimeException("{$login} is not let in.");
        }
    }

    public function work(int $seconds): void
    {
        $until = time() + $seconds;
        while (time() < $until) {
            $this->kit();
        }
    }

    private function kit(): void
    {
        [, , $where] = $this->send('/kits', ['name' => 'Bench '.mt_rand(1, 1_000_000)]);
        if (1 !== preg_match('#/kits/(\d+)#', $where, $m)) {
            return;
        }
        $items = array_map(static fn (): string => (string) mt_rand(1, 20_000), range(1, 6));
        $this->send('/things/into-kit', ['kit' => $m[1], 'items' => array_values(array_unique($items)), 'from' => 'find:']);
        [$status] = $this->send("/kits/{$m[1]}/pull", []);
        if (303 === $status) {
            $this->walk("/kits/{$m[1]}/pull");
            $this->send("/kits/{$m[1]}/return", []);
            $this->walk("/kits/{$m[1]}/return");
        }
    }

    /** Presses the next thing to do until the round is over. */
    private function walk(string $round): void
    {
        for ($step = 0; $step < self::MOST_STEPS; ++$step) {
            [$status, $body] = $this->ask($round);
            $form = 200 === $status ? self::next($body) : null;
            if (null === $form) {
                return;
            }
            $this->send(...$form);
            if (1 === preg_match("~/(pull/end|close)$~", $form[0])) {
                return;
            }
        }
    }

    /**
     * The form that the key for the next thing to do sends, or the one that does without a thing which is nowhere.
     *
     * @return array{string, array<string, list<string>|string>, int}|null where to, what, and how many things it moves at least
     */
    private static function next(string $body): ?array
    {
        $page = new DOMDocument();
        $page->loadHTML($body, \LIBXML_NOERROR);
        $path = new DOMXPath($page);
        foreach (["//main//form[.//button[@data-key='space']]", "//main//form[contains(@action, '/pull/not-here')]"] as $which) {
            $form = ($path->query($which) ?: null)?->item(0);
            if (!$form instanceof DOMElement || !str_starts_with($form->getAttribute('action'), '/kits/')) {
                continue;
            }
            $fields = $several = [];
            foreach ($path->query(".//input | .//button[@data-key='space']", $form) ?: [] as $field) {
                $name = $field instanceof DOMElement ? $field->getAttribute('name') : '';
                $value = $field instanceof DOMElement ? $field->getAttribute('value') : '';
                if (str_ends_with($name, '[]')) {
                    $several[substr($name, 0, -2)][] = $value;
                } elseif ('' !== $name) {
                    $fields[$name] = $value;
                }
            }
            $things = $several['needs'] ?? $several['every'] ?? [];

            return [$form->getAttribute('action'), $fields + $several, count($things)];
        }

        return null;
    }

    /**
     * @param array<string, list<string>|string> $fields
     *
     * @return array{int, string, string}
     */
    private function send(string $path, array $fields, int $things = 0): array
    {
        $fields += ['_request' => self::request()];
        for ($try = 1; true; ++$try) {
            $answer = $this->ask($path, http_build_query($fields), is_string($fields['_request']) ? $fields['_request'] : '', $things);
            // A page says that the room is busy, and keeps what was to be sent; a person presses once more.
            if (503 !== $answer[0] || $try === self::MOST_TRIES) {
                return $answer;
            }
            usleep(200_000);
        }
    }

    /** @return array{int, string, string} status, body, and where the answer leads */
    private function ask(string $path, ?string $post = null, string $request = '-', int $things = 0): array
    {
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->url.$path ?: '/', \CURLOPT_CUSTOMREQUEST => null === $post ? 'GET' : 'POST', \CURLOPT_POSTFIELDS => $post ?? '',
        ]);
        $start = hrtime(true);
        $body = (string) curl_exec($this->curl);
        $status = curl_getinfo($this->curl, \CURLINFO_RESPONSE_CODE);
        $milliseconds = (hrtime(true) - $start) / 1e6;
        fwrite($this->notes, sprintf("%s %d %.1f %s %d\n", null === $post ? 'GET' : 'POST', $status, $milliseconds, $request ?: '-', $things));

        return [$status, $body, (string) curl_getinfo($this->curl, \CURLINFO_REDIRECT_URL)];
    }

    private static function request(): string
    {
        $hex = bin2hex(random_bytes(16));

        return sprintf('%s-%s-4%s-8%s-%s', substr($hex, 0, 8), substr($hex, 8, 4), substr($hex, 12, 3), substr($hex, 15, 3), substr($hex, 18, 12));
    }
}
