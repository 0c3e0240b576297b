<?php

declare(strict_types=1);

namespace App\Platform\Web;

/** How far a long step is, for the page that waits for it; known by the step's request id. */
final readonly class Progress
{
    private const KEPT_SECONDS = 86_400;

    public function __construct(private string $dataDir)
    {
    }

    /** @param float $share of the whole, from 0 to 1 */
    public function tell(string $requestId, float $share, string $says): void
    {
        $file = $this->file($requestId);
        is_dir(\dirname($file)) || @mkdir(\dirname($file), 0o700, true);
        @file_put_contents($file.'.new', json_encode(['share' => round(max(0, min(1, $share)), 3), 'says' => $says], \JSON_THROW_ON_ERROR));
        @rename($file.'.new', $file);
    }

    public function end(string $requestId): void
    {
        @unlink($this->file($requestId));
        foreach (glob(\dirname($this->file($requestId)).'/*.json*') ?: [] as $left) {
            if (time() - (int) @filemtime($left) > self::KEPT_SECONDS) {
                @unlink($left);
            }
        }
    }

    /** @return string a JSON object with `share` and `says`, empty where nothing is being done */
    public function of(string $requestId): string
    {
        $said = @file_get_contents($this->file($requestId));

        return false === $said ? '{}' : $said;
    }

    private function file(string $requestId): string
    {
        return $this->dataDir.'/progress/'.preg_replace('/[^0-9a-f-]/', '', $requestId).'.json';
    }
}
