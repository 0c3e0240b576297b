<?php

declare(strict_types=1);

$files = PhpCsFixer\Finder::create()
    ->in([__DIR__.'/core', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/migrations', __DIR__.'/config', __DIR__.'/public'])
    ->append([__FILE__]);

return (new PhpCsFixer\Config())
    ->setFinder($files)
    ->setRiskyAllowed(true)
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        '@PHP82Migration' => true,
        'declare_strict_types' => true,
        'phpdoc_align' => ['align' => 'left'],
        'phpdoc_to_comment' => false,
        'php_unit_test_case_static_method_calls' => ['call_type' => 'self'],
        'ordered_imports' => ['imports_order' => ['class', 'function', 'const']],
        'single_line_throw' => false,
        'global_namespace_import' => false,
    ]);
