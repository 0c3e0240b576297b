<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Platform\Web\TableFile;
use App\Room\Stores\Places;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Log\Reason;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class LogController extends Page
{
    private const A_PAGE = 60;

    public function __construct(private readonly LogReading $log, private readonly Places $places)
    {
    }

    #[Route('/log', name: 'log', methods: ['GET'])]
    public function index(Request $request, ?Problem $problem = null): Response
    {
        return $this->show($request, $problem);
    }

    #[Route('/log.{type<csv|xlsx>}', name: 'log_file', methods: ['GET'])]
    public function take(Request $request, string $type, LogTable $table, TableFile $file): Response
    {
        $problems = [];

        return $file->answer($table->table($this->log->all($this->filter($request, $problems))), $type);
    }

    private function show(Request $request, ?Problem $problem): Response
    {
        $problems = [];
        $filter = $this->filter($request, $problems);
        $lines = $this->log->lines($filter, self::A_PAGE + 1);
        $hasMore = \count($lines) > self::A_PAGE;
        $query = array_filter(
            $request->query->all(),
            static fn (mixed $value, int|string $key): bool => \is_string($value) && '' !== $value && 'done' !== $key,
            \ARRAY_FILTER_USE_BOTH,
        );

        return $this->render('room/log/index.html.twig', [
            'book' => DayBook::of(\array_slice($lines, 0, self::A_PAGE), $this->roomClock->timeZone()),
            'older' => $lines[self::A_PAGE - 1]->id ?? null,
            'today' => $this->roomClock->today(),
            'has_more' => $hasMore,
            'query' => $query,
            'people' => $this->log->people(),
            'kits' => $this->log->kits(),
            'reasons' => Reason::cases(),
            'problems' => $problems,
            'problem' => $problem,
        ], new Response(status: [] === $problems ? 200 : 422));
    }

    /** @param array<string, string> $problems message by field, filled in here */
    private function filter(Request $request, array &$problems): LogFilter
    {
        $asked = new Request(request: $request->query->all());
        $input = $this->input($asked);
        $address = $input->text('place', 24);
        $place = null;
        if ('' !== $address) {
            $place = $this->places->at(Address::asTyped($address))?->id;
            if (null === $place) {
                $input->refuse('place', \sprintf('There is no place “%s” in this room.', $address));
                $place = 0;
            }
        }
        $until = $input->date('until');
        $zone = $this->roomClock->timeZone();
        $utc = static fn (?\DateTimeImmutable $day): ?\DateTimeImmutable => null === $day
            ? null
            : (new \DateTimeImmutable($day->format('Y-m-d'), $zone))->setTimezone(new \DateTimeZone('UTC'));
        $filter = new LogFilter(
            item: $input->id('item') ?: null,
            what: $input->text('what', 200),
            place: $place,
            kit: $input->id('kit') ?: null,
            person: $input->id('person') ?: null,
            reason: Reason::tryFrom($input->text('reason', 20))?->value,
            from: $utc($input->date('from')),
            until: $utc($until?->modify('+1 day')),
            olderThan: $input->id('older') ?: null,
        );
        try {
            $input->check();
        } catch (InvalidInput $invalid) {
            $problems = $invalid->errors;
        }

        return $filter;
    }
}
