<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** Why a thing moved. */
enum Reason: string
{
    case TakeIn = 'take in';
    case Pull = 'pull';
    case Use = 'use';
    case PutBack = 'return';
    case Move = 'move';
    case Make = 'make';
    case Lose = 'lose';
    case FindAgain = 'found';
    case Discard = 'discard';
    case Reverse = 'reverse';
}
