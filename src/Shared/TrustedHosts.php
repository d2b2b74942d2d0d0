<?php

declare(strict_types=1);

namespace App\Shared;

use Symfony\Component\DependencyInjection\EnvVarProcessorInterface;

/**
 * Resolves "%env(trusted_hosts:DEFAULT_URI)%": the names under which the application answers are those of the address it is
 * told, so that a forged Host header never gets into a link. A loopback address goes by each of its names.
 */
final class TrustedHosts implements EnvVarProcessorInterface
{
    private const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

    public function getEnv(string $prefix, string $name, \Closure $getEnv): string
    {
        $address = $getEnv($name);
        $host = \is_string($address) ? parse_url($address, \PHP_URL_HOST) : null;
        if (!\is_string($host) || '' === $host) {
            throw new \RuntimeException(\sprintf('%s must be the address this application is reached at, for example https://garden.example.', $name));
        }
        $names = \in_array($host, self::LOOPBACK, true) ? self::LOOPBACK : [$host];

        return implode(',', array_map(static fn (string $known): string => '^'.preg_quote($known).'$', $names));
    }

    public static function getProvidedTypes(): array
    {
        return ['trusted_hosts' => 'string'];
    }
}
