<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** A form on a page that is about something written down already, with what stands in its fields. */
#[Exclude]
final readonly class KeptForm
{
    /** What marks such a form in a template. */
    private const FORMS = '/<form\b[^>]*\bdata-keeps\b[^>]*>(.*?)<\/form>/s';
    private const OF_EVERY_FORM = ['_request', '_form', '_was'];

    /**
     * @param int $inside where in the page the form's inside begins
     * @param array<string, string|list<string>> $fields what stands in it, by name; of ticks the values that are ticked
     */
    private function __construct(public string $name, public int $inside, public array $fields)
    {
    }

    /** @return list<self> in the order of the page */
    public static function all(string $html): array
    {
        preg_match_all(self::FORMS, $html, $found, \PREG_OFFSET_CAPTURE);

        return array_map(static fn (array $inside): self => self::of($inside[0], $inside[1]), $found[1]);
    }

    public static function named(string $html, string $name): ?self
    {
        foreach (self::all($html) as $form) {
            if ($form->name === $name) {
                return $form;
            }
        }

        return null;
    }

    private static function of(string $inside, int $at): self
    {
        $before = libxml_use_internal_errors(true);
        $document = new \DOMDocument();
        $document->loadHTML('<?xml encoding="utf-8"?><body>'.$inside.'</body>');
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $fields = [];
        $name = '';
        foreach ((new \DOMXPath($document))->query('//input|//select|//textarea') ?: [] as $field) {
            if (!$field instanceof \DOMElement || '' === $field->getAttribute('name')) {
                continue;
            }
            $called = $field->getAttribute('name');
            $name = '_form' === $called ? $field->getAttribute('value') : $name;
            $value = self::value($field);
            if (str_ends_with($called, '[]')) {
                $list = $fields[substr($called, 0, -2)] ?? [];
                $fields[substr($called, 0, -2)] = [...\is_array($list) ? $list : [], ...null === $value ? [] : [$value]];
            } elseif (null !== $value || !isset($fields[$called])) {
                $fields[$called] = $value ?? '';
            }
        }

        return new self($name, $at, array_diff_key($fields, array_flip(self::OF_EVERY_FORM)));
    }

    /** What a browser would send of it; null where it sends nothing. */
    private static function value(\DOMElement $field): ?string
    {
        if ('select' === $field->tagName) {
            $chosen = $first = null;
            foreach ($field->getElementsByTagName('option') as $option) {
                $first ??= self::optionValue($option);
                $chosen = $option->hasAttribute('selected') ? self::optionValue($option) : $chosen;
            }

            return $chosen ?? $first;
        }
        if ('textarea' === $field->tagName) {
            return self::plain($field->textContent);
        }
        $isTick = \in_array($field->getAttribute('type'), ['checkbox', 'radio'], true);

        return $isTick && !$field->hasAttribute('checked') ? null : self::plain($field->getAttribute('value'));
    }

    private static function optionValue(\DOMElement $option): string
    {
        return $option->hasAttribute('value') ? $option->getAttribute('value') : trim($option->textContent);
    }

    /** As it is compared: a browser sends other line ends than a page has. */
    public static function plain(string $text): string
    {
        return trim(str_replace("\r\n", "\n", $text));
    }
}
