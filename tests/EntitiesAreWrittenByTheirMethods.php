<?php

declare(strict_types=1);

namespace App\Tests;

use Doctrine\ORM\Mapping\Embeddable;
use Doctrine\ORM\Mapping\Entity;
use PhpParser\Node;
use PhpParser\Node\Expr;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\IdentifierRuleError;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * What an entity keeps is written by the entity itself, in methods that say what happens to it: nobody else assigns to its properties.
 *
 * @implements Rule<Expr>
 */
final class EntitiesAreWrittenByTheirMethods implements Rule
{
    public function getNodeType(): string
    {
        return Expr::class;
    }

    /** @return list<IdentifierRuleError> */
    public function processNode(Node $node, Scope $scope): array
    {
        if (!$node instanceof Expr\Assign && !$node instanceof Expr\AssignOp && !$node instanceof Expr\PreInc && !$node instanceof Expr\PostInc
            && !$node instanceof Expr\PreDec && !$node instanceof Expr\PostDec && !$node instanceof Expr\AssignRef) {
            return [];
        }
        $errors = [];
        foreach (self::written($node->var) as $property) {
            $errors = [...$errors, ...self::fromOutside($property, $scope)];
        }

        return $errors;
    }

    /** @return list<Expr\PropertyFetch> the properties that an assignment writes, also as one of several */
    private static function written(Expr $target): array
    {
        if ($target instanceof Expr\List_ || $target instanceof Expr\Array_) {
            $items = array_values(array_filter($target->items));

            return array_merge(...array_map(static fn (Node\ArrayItem $one): array => self::written($one->value), $items));
        }
        while ($target instanceof Expr\ArrayDimFetch) {
            $target = $target->var;
        }

        return $target instanceof Expr\PropertyFetch ? [$target] : [];
    }

    /** @return list<IdentifierRuleError> */
    private static function fromOutside(Expr\PropertyFetch $property, Scope $scope): array
    {
        $errors = [];
        foreach ($scope->getType($property->var)->getObjectClassReflections() as $class) {
            $reflection = $class->getNativeReflection();
            $isKept = [] !== $reflection->getAttributes(Entity::class) || [] !== $reflection->getAttributes(Embeddable::class);
            if (!$isKept || $scope->getClassReflection()?->getName() === $class->getName()) {
                continue;
            }
            $name = $property->name instanceof Node\Identifier ? $property->name->toString() : '…';
            $errors[] = RuleErrorBuilder::message("{$class->getName()}::\${$name} is written from outside.")->identifier('lottel.entity')->build();
        }

        return $errors;
    }
}
