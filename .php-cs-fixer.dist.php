<?php

declare(strict_types=1);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setCacheFile(__DIR__.'/var/php-cs-fixer.cache')
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        'single_line_empty_body' => false,
        'phpdoc_align' => ['align' => 'vertical'],
        'phpdoc_to_comment' => false,
        'method_argument_space' => ['on_multiline' => 'ignore'],
        'native_function_invocation' => ['include' => ['@compiler_optimized'], 'scope' => 'namespaced', 'strict' => true],
        'phpdoc_separation' => true,
        'array_indentation' => false,
    ])
    ->setFinder(PhpCsFixer\Finder::create()->in([__DIR__.'/core', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/migrations', __DIR__.'/demo', __DIR__.'/bench', __DIR__.'/config', __DIR__.'/public'])->notPath('assets'));
