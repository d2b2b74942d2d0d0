<?php

declare(strict_types=1);

/*
 * Router for PHP's built-in server: files under public/assets with long cache headers (their names change with their
 * content) and gzip; everything else goes to the application. Without it addresses with a dot would be 404.
 */

$path = rawurldecode((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), \PHP_URL_PATH));
$types = ['css' => 'text/css; charset=utf-8', 'js' => 'text/javascript; charset=utf-8', 'svg' => 'image/svg+xml', 'woff2' => 'font/woff2',
    'png' => 'image/png', 'json' => 'application/json'];
$file = realpath(__DIR__.$path);
$type = $types[pathinfo($path, \PATHINFO_EXTENSION)] ?? null;
if (null !== $type && false !== $file && str_starts_with($file, __DIR__.'/assets/') && is_file($file)) {
    header('Content-Type: '.$type);
    header('Cache-Control: public, max-age=31536000, immutable');
    $content = (string) file_get_contents($file);
    if (!in_array($type, ['font/woff2', 'image/png'], true) && str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip')) {
        header('Content-Encoding: gzip');
        header('Vary: Accept-Encoding');
        $content = (string) gzencode($content, 6);
    }
    header('Content-Length: '.strlen($content));
    echo $content;

    return true;
}
$_SERVER['SCRIPT_FILENAME'] = __DIR__.'/index.php';
$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['PHP_SELF'] = '/index.php';

require __DIR__.'/index.php';

return true;
