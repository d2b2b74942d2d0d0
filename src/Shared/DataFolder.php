<?php

declare(strict_types=1);

namespace App\Shared;

use Symfony\Component\DependencyInjection\EnvVarProcessorInterface;

/**
 * Resolves "%env(data_folder:JOLLY_FURROW_DATA)%" to the folder data is kept in (default var/data), and
 * "%env(app_secret:APP_SECRET)%" to the secret kept there when none is given. Both are made when missing.
 */
final readonly class DataFolder implements EnvVarProcessorInterface
{
    public function __construct(private string $projectDir)
    {
    }

    public function getEnv(string $prefix, string $name, \Closure $getEnv): string
    {
        $value = $getEnv($name);
        $given = \is_string($value) ? $value : '';
        if ('data_folder' === $prefix) {
            return $this->folder($given);
        }
        if ('' !== $given) {
            return $given;
        }
        $data = $getEnv('JOLLY_FURROW_DATA');

        return $this->secret($this->folder(\is_string($data) ? $data : ''));
    }

    public static function getProvidedTypes(): array
    {
        return ['data_folder' => 'string', 'app_secret' => 'string'];
    }

    private function folder(string $given): string
    {
        $folder = '' === $given ? $this->projectDir.'/var/data' : $given;
        foreach ([$folder, $folder.'/sessions'] as $wanted) {
            if (!is_dir($wanted) && !@mkdir($wanted, 0700, true) && !is_dir($wanted)) {
                throw new \RuntimeException(\sprintf('The data folder %s cannot be made. Choose another with JOLLY_FURROW_DATA.', $wanted));
            }
        }

        return $folder;
    }

    private function secret(string $folder): string
    {
        $file = $folder.'/secret';
        if (!is_file($file)) {
            file_put_contents($file, bin2hex(random_bytes(32)), \LOCK_EX);
            chmod($file, 0600);
        }

        return (string) file_get_contents($file);
    }
}
