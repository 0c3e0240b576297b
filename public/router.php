<?php

declare(strict_types=1);

// Router of PHP's own server: built files with a long life, everything else to the application.
$path = rawurldecode((string) parse_url(is_string($_SERVER['REQUEST_URI'] ?? null) ? $_SERVER['REQUEST_URI'] : '/', \PHP_URL_PATH));
$types = [
    'css' => 'text/css; charset=utf-8',
    'js' => 'text/javascript; charset=utf-8',
    'svg' => 'image/svg+xml',
    'woff2' => 'font/woff2',
    'txt' => 'text/plain; charset=utf-8',
    'png' => 'image/png',
];
$file = str_contains($path, "\0") ? false : realpath(__DIR__.$path);
$type = $types[pathinfo($path, \PATHINFO_EXTENSION)] ?? null;
if (false !== $file && null !== $type && str_starts_with($file, __DIR__.'/build/') && is_file($file)) {
    $etag = '"'.hash_file('xxh64', $file).'"';
    header('Content-Type: '.$type);
    header('ETag: '.$etag);
    header('X-Content-Type-Options: nosniff');
    header(
        'Cache-Control: '.
            (isset($_GET['v']) || 'woff2' === pathinfo($path, \PATHINFO_EXTENSION)
                ? 'public, max-age=31536000, immutable'
                : 'public, max-age=0, must-revalidate'),
    );
    if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $etag) {
        http_response_code(304);
    } else {
        readfile($file);
    }

    return true;
}

$_SERVER['SCRIPT_FILENAME'] = __DIR__.'/index.php';
$_SERVER['SCRIPT_NAME'] = $_SERVER['PHP_SELF'] = '/index.php';

require __DIR__.'/index.php';
