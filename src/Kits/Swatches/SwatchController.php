<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use App\Kits\Design\ChangeDesign;
use App\Kits\Kits\Kits;
use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\CssColour;
use Lottel\Core\Colour\InvalidPalette;
use Lottel\Core\Colour\NamedColour;
use Lottel\Core\Colour\PaletteWriter;
use Lottel\Core\Colour\ReadPalette;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Design\Design;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The colours of the room as a swatch book, and palettes from elsewhere held against it. */
final class SwatchController extends Page
{
    private const MOST_AIMED_AT = 8;
    private const LONGEST_NAME = 60;

    public function __construct(private readonly SwatchBook $book, private readonly PaletteFiles $files, private readonly MatchPalette $match)
    {
    }

    #[Route('/stores/colours', name: 'swatches', methods: ['GET'])]
    public function page(Request $request, ?Problem $problem = null): Response
    {
        $kind = Kind::tryFrom($request->query->getString('kind'));
        [$swatches, $many] = $this->book->swatches($kind);

        return $this->render('kits/swatches/index.html.twig', [
            'types' => PaletteFiles::WORDS,
            'kind' => $kind,
            'kinds' => $this->book->kinds(),
            'families' => SwatchBook::byFamily($swatches),
            'shown' => \count($swatches),
            'many' => $many,
            'problem' => $problem,
        ]);
    }

    #[Route('/stores/colours.{type<gpl|css|csv|svg|pdf>}', name: 'swatches_file', methods: ['GET'])]
    public function take(Request $request, string $type): Response
    {
        $kind = Kind::tryFrom($request->query->getString('kind'));
        [$swatches] = $this->book->swatches($kind);
        $name = null === $kind ? 'colours' : 'colours-'.strtr($kind->value, ' ', '-');
        $content = $this->files->written(
            $type,
            $this->frame->room()->name.', '.(null === $kind ? 'colours' : $kind->value),
            array_map(static fn (Swatch $swatch): NamedColour => $swatch->named, $swatches),
            array_map(SwatchCell::ofRoom(...), $swatches),
        );

        return $this->download($content, PaletteFiles::TYPES[$type], $name.'.'.$type);
    }

    /** Shows what a palette has and what in the room comes near to it; nothing is written. */
    #[Route('/stores/colours/palette', name: 'look_at_palette', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function look(Request $request): Response
    {
        return $this->ofPalette($request, fn (ReadPalette $palette): Response => $this->palette($palette));
    }

    /** The same palette as a file of another kind. */
    #[Route('/stores/colours/palette.{type<gpl|css|csv|svg|pdf>}', name: 'palette_file', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function convert(Request $request, string $type): Response
    {
        return $this->ofPalette($request, function (ReadPalette $palette) use ($type): Response {
            $cells = array_map(SwatchCell::ofPalette(...), $palette->colours);
            $name = '' === $palette->name ? 'Palette' : $palette->name;

            return $this->download($this->files->written($type, $name, $palette->colours, $cells), PaletteFiles::TYPES[$type], 'palette.'.$type);
        });
    }

    /** The ticked colours are what a kit's design comes near to. */
    #[Route('/stores/colours/aim', name: 'aim_at_palette', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function aim(Request $request, Kits $kits, ChangeDesign $change): Response
    {
        return $this->write($request, function (Input $input) use ($kits, $change): Outcome {
            $target = self::ticked($input);
            [$id, $seen] = self::chosenDesign($input);
            $input->check();
            $kit = $kits->one($id);
            $change($kit, $seen, static fn (Design $design): Design => $design->with(['target' => $target]));

            return Outcome::undoable($this->generateUrl('design', ['id' => $kit->id]), \sprintf(
                '%s what the design comes near to.',
                1 === \count($target) ? 'The colour of the palette is' : \count($target).' colours of the palette are',
            ));
        }, fn (Problem $problem): Response => $this->ofPalette($request, fn (ReadPalette $palette): Response => $this->palette($palette, $problem)));
    }

    /** @return list<string> colours as #rrggbb */
    private static function ticked(Input $input): array
    {
        $ticked = array_map(CssColour::read(...), array_unique($input->list('colours')));
        if ([] === $ticked || \count($ticked) > self::MOST_AIMED_AT || \in_array(null, $ticked, true)) {
            $input->refuse('colours', \sprintf('Tick one to %d colours; those are what the design comes near to.', self::MOST_AIMED_AT));
        }

        return array_values(array_map(static fn (Srgb $colour): string => $colour->hex(), array_filter($ticked)));
    }

    /** @return array{int, int} the kit, and the revision of its design that was seen */
    private static function chosenDesign(Input $input): array
    {
        if (1 !== preg_match('/^(\d{1,12}):(\d{1,9})$/D', $input->text('design', 24), $m)) {
            $input->refuse('design', 'Choose whose design it is.');

            return [0, 0];
        }

        return [(int) $m[1], (int) $m[2]];
    }

    private function palette(ReadPalette $palette, ?Problem $problem = null): Response
    {
        $matched = ($this->match)($palette->colours);

        return $this->render('kits/swatches/palette.html.twig', [
            'types' => PaletteFiles::WORDS,
            'palette' => $palette,
            'matched' => $matched,
            'near' => \count(array_filter($matched, static fn (MatchedColour $one): bool => null !== $one->nearest)),
            'as_text' => PaletteWriter::gpl($palette->name, $palette->colours),
            'designs' => $this->book->designs(),
            'most' => self::MOST_AIMED_AT,
            'problem' => $problem,
        ]);
    }

    /** @param callable(ReadPalette): Response $answer */
    private function ofPalette(Request $request, callable $answer): Response
    {
        $input = $this->input($request);
        try {
            $palette = PaletteForm::read($input);
            $input->check();

            return $answer(new ReadPalette(mb_substr($palette->name, 0, self::LONGEST_NAME), $palette->colours, $palette->unread));
        } catch (InvalidInput|InvalidPalette $invalid) {
            $problem = Problem::from($invalid, $request, $this->measures->quantities()) ?? throw $invalid;
            $response = $this->page($request, $problem);
            $response->setStatusCode($problem->status);

            return $response;
        }
    }
}
