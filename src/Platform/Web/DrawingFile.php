<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Yaml\Yaml;

/** A drawing of a page as a file of its own: SVG that needs no stylesheet, or the same on a page of PDF. */
final readonly class DrawingFile
{
    private const TEXT = 'Helvetica, Arial, sans-serif';
    private const FONTS_IN_PDF = ['"serif"' => '"dejavuserifcondensed"', '"monospace"' => '"dejavusansmono"', '"'.self::TEXT.'"' => '"dejavusanscondensed"'];
    private const DRAWN_WITH = [
        'x', 'y', 'width', 'height', 'rx', 'ry', 'cx', 'cy', 'r', 'd', 'points', 'x1', 'y1', 'x2', 'y2', 'transform', 'viewBox', 'preserveAspectRatio',
        'fill', 'fill-rule', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-dasharray', 'stroke-opacity', 'opacity', 'text-anchor', 'font-size', 'dy', 'dx',
    ];
    private const MARGIN = 12.0;

    public function __construct(private string $projectDir, private Measures $measures)
    {
    }

    /** @param string $type svg or pdf */
    public function answer(string $drawing, string $type, string $title, string $name): Response
    {
        $svg = $this->standalone($drawing, $title);

        return new Response('pdf' === $type ? $this->pdf($svg, $title) : $svg, 200, [
            'Content-Type' => 'pdf' === $type ? 'application/pdf' : 'image/svg+xml',
            'Content-Disposition' => \sprintf('attachment; filename="%s.%s"', $name, $type),
        ]);
    }

    private function standalone(string $drawing, string $title): string
    {
        $document = new \DOMDocument();
        $document->loadXML(str_replace('<svg ', '<svg xmlns="http://www.w3.org/2000/svg" ', $drawing));
        $root = $document->documentElement ?? throw new \LogicException('A drawing is SVG.');
        $box = explode(' ', $root->getAttribute('viewBox'));
        $this->dress($root, $this->looks(), []);
        $root->setAttribute('width', $box[2] ?? '0');
        $root->setAttribute('height', $box[3] ?? '0');
        $titled = $document->createElementNS('http://www.w3.org/2000/svg', 'title');
        $titled->appendChild($document->createTextNode($title));
        $root->insertBefore($titled, $root->firstChild);

        return $document->saveXML($root)."\n";
    }

    /**
     * Puts the looks of its classes onto each element, and leaves out what only a page has use for, such as links.
     *
     * @param array<string, array<string, string>> $looks
     * @param list<string> $within the classes of what is around it
     */
    private function dress(\DOMElement $element, array $looks, array $within): void
    {
        $classes = preg_split('/\s+/', $element->getAttribute('class'), -1, \PREG_SPLIT_NO_EMPTY) ?: [];
        $own = [];
        foreach ($within as $class) {
            $own = ($looks["{$class} {$element->localName}"] ?? []) + $own;
        }
        foreach ($classes as $class) {
            $own = ($looks[$class] ?? []) + $own;
        }
        foreach (iterator_to_array($element->attributes) as $name => $attribute) {
            if (!\in_array($name, self::DRAWN_WITH, true)) {
                $element->removeAttribute((string) $name);
            }
        }
        if (\in_array($element->localName, ['text', 'tspan'], true)) {
            $own += ['font-family' => self::TEXT];
        }
        foreach ($own as $name => $value) {
            if (!$element->hasAttribute($name)) {
                $element->setAttribute($name, $value);
            }
        }
        foreach (iterator_to_array($element->childNodes) as $child) {
            if (!$child instanceof \DOMElement) {
                continue;
            }
            if ('title' === $child->localName) {
                $element->removeChild($child);
                continue;
            }
            $this->dress($child, $looks, [...$within, ...$classes]);
            if ('a' === $child->localName) {
                self::unwrap($child);
            }
        }
    }

    /** A link of the page is a group in the drawing. */
    private static function unwrap(\DOMElement $link): void
    {
        $group = $link->ownerDocument?->createElementNS('http://www.w3.org/2000/svg', 'g') ?: throw new \LogicException('It is in a document.');
        while (null !== $link->firstChild) {
            $group->appendChild($link->firstChild);
        }
        $link->parentNode?->replaceChild($group, $link);
    }

    /** @return array<string, array<string, string>> attributes by class, or by class and element */
    private function looks(): array
    {
        $looks = [];
        foreach ((array) Yaml::parseFile($this->projectDir.'/config/drawings.yaml') as $of => $attributes) {
            foreach ((array) $attributes as $name => $value) {
                $looks[(string) $of][(string) $name] = \is_scalar($value) ? (string) $value : '';
            }
        }

        return $looks;
    }

    /** As large as the page allows, upright or lying. */
    private function pdf(string $svg, string $title): string
    {
        [$short, $long] = $this->measures->page();
        preg_match('/viewBox="[-\d.]+ [-\d.]+ ([\d.]+) ([\d.]+)"/', $svg, $m);
        $page = (float) ($m[1] ?? 1) > (float) ($m[2] ?? 1) ? [$long, $short] : [$short, $long];
        $pdf = Pdf::blank($title, $page);
        $pdf->AddPage();
        $pdf->setFont('dejavusanscondensed', '', 10);
        [$width, $height] = [$page[0] - 2 * self::MARGIN, $page[1] - 2 * self::MARGIN];
        $isWide = (float) ($m[1] ?? 1) / (float) ($m[2] ?? 1) > $width / $height;
        $pdf->ImageSVG('@'.strtr($svg, self::FONTS_IN_PDF), self::MARGIN, self::MARGIN, $isWide ? $width : 0, $isWide ? 0 : $height);

        return $pdf->Output('drawing.pdf', 'S');
    }
}
