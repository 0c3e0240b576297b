<?php

declare(strict_types=1);

$container = dirname(__DIR__).'/var/cache/prod/App_KernelProdContainer.preload.php';
if (file_exists($container)) {
    require $container;
}
