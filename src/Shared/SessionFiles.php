<?php

declare(strict_types=1);

namespace App\Shared;

use Symfony\Component\HttpFoundation\Session\Storage\Handler\AbstractSessionHandler;

/**
 * Sessions as files, each replaced whole: the new one is written beside the old and takes its name once it is complete. Where
 * the disk is full the old one stays, and nobody is signed out by it. One request of a session at a time, as long as a file
 * for the lock can be had.
 */
final class SessionFiles extends AbstractSessionHandler
{
    /** @var resource|null */
    private mixed $lock = null;

    public function __construct(private readonly string $folder)
    {
    }

    public function close(): bool
    {
        if (\is_resource($this->lock)) {
            flock($this->lock, \LOCK_UN);
            fclose($this->lock);
        }
        $this->lock = null;

        return true;
    }

    public function gc(int $max_lifetime): int
    {
        $gone = 0;
        foreach (glob($this->folder.'/sess_*') ?: [] as $file) {
            $gone += @filemtime($file) < time() - $max_lifetime && @unlink($file) ? 1 : 0;
        }

        return $gone;
    }

    public function updateTimestamp(#[\SensitiveParameter] string $id, string $data): bool
    {
        @touch($this->file($id));

        return true;
    }

    protected function doRead(#[\SensitiveParameter] string $sessionId): string
    {
        $this->lock ??= @fopen($this->file($sessionId).'.lock', 'c') ?: null;
        if (\is_resource($this->lock)) {
            flock($this->lock, \LOCK_EX);
        }

        return (string) @file_get_contents($this->file($sessionId));
    }

    protected function doWrite(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        $file = $this->file($sessionId);
        $new = $file.'.new';
        $isWhole = \strlen($data) === @file_put_contents($new, $data) && @chmod($new, 0600) && @rename($new, $file);
        if (!$isWhole) {
            @unlink($new);
            error_log('A session could not be written (is the disk full?); it stays as it was.');
        }

        return true;
    }

    protected function doDestroy(#[\SensitiveParameter] string $sessionId): bool
    {
        @unlink($this->file($sessionId));
        @unlink($this->file($sessionId).'.lock');

        return true;
    }

    private function file(#[\SensitiveParameter] string $id): string
    {
        return $this->folder.'/sess_'.preg_replace('/[^A-Za-z0-9,-]/', '', $id);
    }
}
