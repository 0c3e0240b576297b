<?php

declare(strict_types=1);

namespace App\Tests\Calendar\Year;

use App\Calendar\Year\Contacts;
use App\Calendar\Year\DateInYear;
use App\Calendar\Year\DatesInFile;
use App\Calendar\Year\KitTimes;
use App\Calendar\Year\Occasion;
use App\Calendar\Year\Occasions;
use App\Calendar\Year\YearReading;
use App\Kits\Kits\KitList;
use App\Kits\Kits\Kits;
use App\Platform\Steps\Step;
use App\Platform\Web\RoomAtHand;
use App\Room\Log\AuditReading;
use App\Room\Log\LogBook;
use App\Room\Stores\Places;
use App\Tests\RoomTestCase;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Year\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Uid\Uuid;

final class YearTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // A Wednesday.
        Clock::set(new MockClock('2027-03-03 10:00:00'));
        $this->furnish();
    }

    protected function tearDown(): void
    {
        Clock::set(new \Symfony\Component\Clock\NativeClock());
        parent::tearDown();
    }

    /** An hour on each weekday, three on Saturdays. */
    private function sayHours(): void
    {
        $this->postAndFollow('/year/hours', ['_form' => 'hours', 'day_1' => '1', 'day_2' => '1 h', 'day_3' => '60 min', 'day_4' => '1:00', 'day_5' => '1',
            'day_6' => '3', 'day_7' => '0']);
    }

    private function kitDue(string $name, string $due, string $time = '3 h'): int
    {
        $kit = $this->planKit($name, []);
        $this->postAndFollow("/year/kits/{$kit}", ['due_on' => $due, 'time' => $time, 'drying_days' => '', 'ready_from' => '']);

        return $kit;
    }

    /** @param array<string, string> $fields */
    private function addDate(array $fields): Crawler
    {
        return $this->post('/occasions', $fields + ['_form' => 'occasion', 'kind' => 'birthday', 'person' => '', 'name' => '', 'on' => '', 'wants' => '',
            'pieces' => '', 'days_ahead' => '', 'lasts' => '']);
    }

    private function occasion(string $name): Occasion
    {
        return $this->entities()->getRepository(Occasion::class)->findOneBy(['name' => $name]) ?? throw new \LogicException($name);
    }

    public function testTheHoursAreAskedForAndNotGuessed(): void
    {
        $this->kitDue('Gulls', '2027-03-13');
        $page = $this->get('/year?kit=1');
        self::assertStringContainsString('How long is somebody at the bench', $page->text());
        self::assertCount(0, $page->filter('.work-bar'));
        self::assertStringContainsString('once the hours at the bench are', $page->filter('.year-kit')->text());
        $wrong = ['day_1' => '25', 'day_2' => 'x', 'day_3' => '0', 'day_4' => '0', 'day_5' => '0', 'day_6' => '', 'day_7' => '0'];
        $this->post('/year/hours', $wrong + ['_form' => 'hours']);
        $this->assertCode(422);
        $again = $this->browser->getCrawler();
        foreach ([1, 2, 6] as $day) {
            self::assertStringContainsString('Write hours', $again->filter("#hours-day_{$day}-error")->text());
        }
        self::assertSame('x', $again->filter('#hours-day_2')->attr('value'), 'nothing typed is lost');
        $this->sayHours();
        self::assertGreaterThan(0, $this->get('/year')->filter('.work-bar')->count());
    }

    public function testWhenEachKitMustBeBegunIsWorkedBackFromItsDate(): void
    {
        $this->sayHours();
        $gulls = $this->kitDue('Gulls', '2027-03-13', '4 h');
        $page = $this->get("/year?kit={$gulls}");
        self::assertStringContainsString('Begin on Friday 12 March at the latest', $page->filter('.year-kit')->text());
        self::assertStringContainsString('Nothing must be begun before Friday 12 March', $page->filter('.year-says')->text());
        $this->postAndFollow("/year/kits/{$gulls}", ['due_on' => '2027-03-13', 'time' => '4 h', 'drying_days' => '1', 'ready_from' => '2027-03-10']);
        $text = $this->get("/year?kit={$gulls}")->filter('.year-kit')->text();
        self::assertStringContainsString('Begin on Friday 12 March', $text, 'it is late anyhow, and as little as can be');
        self::assertStringContainsString('1 day late', $text);
        self::assertStringContainsString('1 kit will be late', $this->get('/year')->filter('.year-says')->text());
    }

    public function testTwoKitsShareTheHoursAndTheWeekThatIsTooFullIsTold(): void
    {
        $this->sayHours();
        $this->kitDue('Gulls', '2027-03-13', '8 h');
        $this->kitDue('Menus', '2027-03-13', '3 h');
        $page = $this->get('/year');
        self::assertStringContainsString('1 week is over-full', $page->filter('.year-says')->text());
        self::assertSame('11 of 8 hours in the week of 8 March', $page->filter('.year-load.over title')->text());
        self::assertCount(1, $page->filter('.year-load.over'));
        self::assertCount(0, $page->filter('.week-list .late')->reduce(static fn (Crawler $one): bool => str_contains($one->text(), 'late')));
    }

    public function testTwoKitsThatWantOneMachineOnOneDayAreTold(): void
    {
        $this->sayHours();
        [$press] = $this->putInto('C2', 'Lever press; ; 1');
        $press->describe($press->record()->with(kind: \Lottel\Core\Catalogue\Kind::Machine));
        $this->entities()->flush();
        foreach (['Gulls', 'Menus'] as $name) {
            $kit = $this->planKit($name, [[$press, 1]]);
            $this->postAndFollow("/year/kits/{$kit}", ['due_on' => '2027-03-06', 'time' => '1½ h', 'drying_days' => '', 'ready_from' => '']);
        }
        self::assertSame(['Gulls and Menus want the lever press on Saturday 6 Mar.'], $this->get('/year')->filter('.year-warning')->each(
            static fn (Crawler $one): string => $one->text(),
        ));
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function timesThatCannotBe(): iterable
    {
        $fine = ['due_on' => '2027-03-13', 'time' => '', 'drying_days' => '', 'ready_from' => ''];
        yield 'in 200 years' => [['due_on' => '2227-03-13'] + $fine, 'due_on', 'twenty years'];
        yield 'no day' => [['due_on' => '2027-02-30'] + $fine, 'due_on', 'Write the day'];
        yield 'no time' => [['time' => 'soon'] + $fine, 'time', 'Write how long'];
        yield 'too long' => [['time' => '2000 h'] + $fine, 'time', 'Write how long'];
        yield 'dries for ever' => [['drying_days' => '9999'] + $fine, 'drying_days', '366'];
        yield 'half a day' => [['drying_days' => '1.5'] + $fine, 'drying_days', 'whole'];
    }

    /** @param array<string, string> $fields */
    #[DataProvider('timesThatCannotBe')]
    public function testATimeThatCannotBeIsToldBesideItsField(array $fields, string $field, string $said): void
    {
        $kit = $this->planKit('Gulls', []);
        $page = $this->post("/year/kits/{$kit}", $fields + ['_form' => 'kit']);
        $this->assertCode(422);
        self::assertStringContainsString($said, $page->filter("#kit-{$field}-error")->text());
        self::assertSame($fields[$field], $page->filter("#kit-{$field}")->attr('value'));
        self::assertNull($this->kit($kit)->dueOn);
    }

    public function testADayThatIsPastIsWrittenAndSaidToBe(): void
    {
        $this->sayHours();
        $kit = $this->planKit('Gulls', []);
        $page = $this->postAndFollow("/year/kits/{$kit}", ['due_on' => '2027-02-20', 'time' => '1 h', 'drying_days' => '', 'ready_from' => '']);
        self::assertStringContainsString('That day is past, so the kit is overdue', $page->filter('.said')->text());
        self::assertStringContainsString('overdue 11 days', $page->filter('.year-slip.late')->text());
        self::assertStringContainsString('Gulls first', $page->filter('.year-says')->text());
        $this->post('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1'), 'back' => '/year']);
        self::assertNull($this->kit($kit)->dueOn, 'an undo takes all of it back');
        self::assertSame(0, $this->number('SELECT count(*) FROM kit_time'));
    }

    public function testMoreWorkThanTenYearsHoldIsTold(): void
    {
        $days = array_map(static fn (int $day): string => 'day_'.$day, range(1, 7));
        $this->postAndFollow('/year/hours', array_fill_keys($days, '0'));
        $this->kitDue('Gulls', '2027-03-13');
        self::assertStringContainsString('do not hold this work', $this->get('/year')->filter('.year-warning')->text());
    }

    public function testADayOfItsOwnHours(): void
    {
        $this->sayHours();
        $gulls = $this->kitDue('Gulls', '2027-03-06', '3 h');
        self::assertStringContainsString('Begin on Saturday', $this->get("/year?kit={$gulls}")->text());
        $page = $this->postAndFollow('/year/day', ['day' => '2027-03-06', 'hours' => '0']);
        self::assertStringContainsString('Saturday 6 March has hours of its own', $page->text());
        self::assertStringContainsString('Begin now', $this->get("/year?kit={$gulls}")->text());
        $this->postAndFollow('/year/day', ['day' => '2027-03-06', 'usual' => '1']);
        self::assertStringContainsString('Begin on Saturday', $this->get("/year?kit={$gulls}")->text());
        $this->post('/year/day', ['_form' => 'other', 'day' => '', 'hours' => '']);
        $this->assertCode(422);
    }

    public function testABirthdayComesEveryYearAndAKitIsPlannedForIt(): void
    {
        $this->sayHours();
        $this->addDate(['person' => 'Maren Tull', 'on' => '3 May 1986']);
        $this->assertCode(303);
        self::assertStringContainsString('Maren Tull’s birthday is in the year, next on Monday 3 May 2027', $this->browser->followRedirect()->text());
        $row = $this->get('/occasions')->filter('.date-row')->text();
        self::assertStringContainsString('Maren Tull is 41', $row);
        self::assertStringContainsString('to make, begin by Fri 30 Apr, done by Fri 30 Apr', $row);
        $one = (int) $this->occasion('Maren Tull’s birthday')->id;
        $page = $this->postAndFollow("/occasions/{$one}/kit", ['day' => '2027-05-03']);
        self::assertStringContainsString('due 30 April', $page->text());
        $kit = $this->number('SELECT max(id) FROM kit');
        self::assertSame(['1 birthday card', 'Maren Tull', 'birthday'], [$this->kit($kit)->makes, $this->kit($kit)->forWhom, $this->kit($kit)->occasion]);
        self::assertStringNotContainsString('to make', $this->get('/occasions')->filter('.date-row')->first()->text());
        $this->post("/occasions/{$one}/kit", ['day' => '2027-05-03']);
        $this->assertCode(409, 'an old page does not plan a second one');
        $this->post("/occasions/{$one}/kit", ['day' => '2027-05-04']);
        $this->assertCode(409, 'nor for a day that is none of its');
        $this->post("/occasions/{$one}", ['remove' => '1']);
        $this->assertCode(409, 'a date that has a kit stays');
        $this->postAndFollow("/kits/{$kit}/delete");
        $this->postAndFollow("/occasions/{$one}", ['remove' => '1']);
        $this->get("/occasions/{$one}");
        $this->assertCode(404);
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function datesThatCannotBe(): iterable
    {
        yield 'no day' => [['person' => 'Ann', 'on' => '31 Feb'], 'on', 'Write the day'];
        yield 'nobody' => [['on' => '3 May'], 'name', 'Whose is it'];
        yield 'once without a year' => [['person' => 'Ann', 'on' => '3 May', 'once' => '1'], 'on', 'Of which year'];
        yield 'born in the year 1' => [['person' => 'Ann', 'on' => '0001-05-03'], 'on', 'Is the year 1 right'];
        yield 'born in the year 9999' => [['person' => 'Ann', 'on' => '9999-05-03'], 'on', 'Is the year 9999 right'];
        yield 'once in 200 years' => [['person' => 'Ann', 'on' => '2227-05-03', 'once' => '1'], 'on', 'twenty years'];
        yield 'words' => [['person' => 'Ann', 'on' => 'in spring'], 'on', 'Write the day'];
        yield 'minus one card' => [['person' => 'Ann', 'on' => '3 May', 'pieces' => '-1'], 'pieces', '0'];
        yield 'a million' => [['person' => 'Ann', 'on' => '3 May', 'pieces' => '1000000'], 'pieces', '10,000'];
    }

    /** @param array<string, string> $fields */
    #[DataProvider('datesThatCannotBe')]
    public function testADateThatCannotBeIsToldBesideItsField(array $fields, string $field, string $said): void
    {
        $page = $this->addDate($fields);
        $this->assertCode(422);
        self::assertStringContainsString($said, $page->filter("#occasion-{$field}-error")->text());
        self::assertSame($fields['on'], $page->filter('#occasion-on')->attr('value'));
        self::assertSame(0, $this->number('SELECT count(*) FROM occasion'));
    }

    public function testDatesAreWrittenInManyWays(): void
    {
        foreach (['3 May', 'May 3rd', '05-03', '2020-05-03', '3 May 1950', 'May 3, 1950', '--05-03', '3. May'] as $nth => $on) {
            $this->addDate(['person' => 'Person '.$nth, 'on' => $on]);
            $this->assertCode(303, $on);
            $written = $this->occasion("Person {$nth}’s birthday")->on();
            self::assertSame([5, 3], [$written->month, $written->day], $on);
        }
    }

    public function testTheSamePersonIsNotWrittenTwice(): void
    {
        $this->addDate(['person' => 'Maren Tull', 'on' => '3 May']);
        $page = $this->addDate(['person' => 'maren tull', 'on' => '4 May']);
        $this->assertCode(422);
        self::assertStringContainsString('has a birthday already, on 3 May', $page->text());
        self::assertSame('4 May', $page->filter('#occasion-on')->attr('value'));
        $this->addDate(['person' => 'Maren Tull', 'on' => '4 June', 'kind' => 'anniversary']);
        $this->assertCode(303, 'another kind of date is another date');
        self::assertCount(1, $this->service(Contacts::class)->all());
    }

    public function testAnUndoLeavesAPersonOnWhomOtherDatesHangByNow(): void
    {
        $this->addDate(['person' => 'Maren Tull', 'on' => '3 May']);
        $first = $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1');
        $this->addDate(['person' => 'Maren Tull', 'on' => '4 June', 'kind' => 'anniversary']);
        $this->post('/log/undo', ['step' => $first, 'back' => '/occasions']);
        $this->assertCode(409);
        self::assertStringContainsString('Other things belong to it by now', $this->text());
        self::assertCount(2, $this->service(Occasions::class)->all(), 'nothing is half undone');
        self::assertCount(1, $this->service(Contacts::class)->all());
    }

    public function testTheRoomsOwnClockSaysWhichDayItIs(): void
    {
        $this->sayHours();
        $this->postAndFollow('/upkeep/room', ['room' => 'Loft', 'measure' => 'in', 'time_zone' => 'Pacific/Auckland']);
        $this->postAndFollow('/year/day', ['day' => '2027-04-04', 'hours' => '1']);
        Clock::set(new MockClock('2027-04-03 13:30:00'));
        $kit = $this->kitDue('Gulls', '2027-04-04', '30 min');
        self::assertStringContainsString('Begin now', $this->get("/year?kit={$kit}")->text(), 'it is the fourth there, the night in which the clocks go back');
        self::assertStringNotContainsString('overdue', $this->get('/year')->filter('.year-slip')->text());
        Clock::set(new MockClock('2027-04-04 12:30:00'));
        self::assertStringContainsString('overdue 1 day', $this->get('/year')->filter('.year-slip')->text(), 'the long day has ended');
    }

    public function testACalendarIsReadByWhoeverKnowsItsAddressUntilItIsStopped(): void
    {
        $this->sayHours();
        $this->kitDue('Gulls, tern & “tide”; second\\try', '2027-03-13', '4 h');
        $this->addDate(['person' => 'Maren Tull', 'on' => '29 Feb 1988']);
        $this->post('/year/feeds', ['_form' => 'feed', 'name' => '']);
        $this->assertCode(422);
        $this->postAndFollow('/year/feeds', ['name' => 'my phone']);
        $address = (string) $this->get('/year')->filter('.feed-address')->attr('value');
        $path = (string) parse_url($address, \PHP_URL_PATH);
        $this->browser->restart();
        $this->browser->request('GET', $path);
        $this->assertCode(200);
        self::assertStringStartsWith('text/calendar', (string) $this->browser->getResponse()->headers->get('Content-Type'));
        $calendar = Reader::read((string) $this->browser->getResponse()->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        $events = [];
        foreach ($calendar->select('VEVENT') as $event) {
            self::assertInstanceOf(\Sabre\VObject\Component::class, $event);
            [$summary, $start] = [$event->select('SUMMARY')[0] ?? '', $event->select('DTSTART')[0] ?? ''];
            self::assertInstanceOf(\Stringable::class, $summary);
            self::assertInstanceOf(\Stringable::class, $start);
            $events[(string) $summary] = (string) $start;
        }
        self::assertSame('20270313', $events['Gulls, tern & “tide”; second\\try is due'] ?? null);
        self::assertSame('20270312', $events['Begin Gulls, tern & “tide”; second\\try'] ?? null);
        self::assertSame('20280229', $events['Maren Tull is 40'] ?? null);
        foreach ([$path.'x', substr($path, 0, -5).'.ics', preg_replace('/calendar\/\d+/', 'calendar/999', $path), '/calendar/1-x.ics'] as $wrong) {
            $this->browser->request('GET', (string) $wrong);
            $this->assertCode(404, (string) $wrong);
        }
        $this->signIn('hank');
        $this->post('/year/feeds/1');
        $this->assertCode(404, 'another person’s calendar is nobody else’s to stop');
        $this->signIn('olive');
        $this->postAndFollow('/year/feeds/1');
        $this->browser->request('GET', $path);
        $this->assertCode(404, 'it was stopped');
    }

    public function testTheOwnerSeesAndStopsTheCalendarsOfOthers(): void
    {
        $this->signIn('hank');
        $this->postAndFollow('/year/feeds', ['name' => 'a stranger’s phone']);
        $path = (string) parse_url((string) $this->get('/year')->filter('.feed-address')->attr('value'), \PHP_URL_PATH);
        $this->signIn('olive');
        $this->postAndFollow('/year/feeds', ['name' => 'my phone']);
        $feeds = $this->get('/year')->filter('#feeds');
        self::assertStringContainsString('a stranger’s phone', $feeds->text());
        self::assertStringContainsString('Hank', $feeds->filter('.rows')->text());
        self::assertStringNotContainsString($path, (string) $this->browser->getResponse()->getContent(), 'its address is its giver’s alone');
        $this->signIn('hank');
        self::assertStringNotContainsString('my phone', $this->get('/year')->filter('#feeds')->text());
        $this->signIn('olive');
        $this->postAndFollow("/year/feeds/{$this->number("SELECT id FROM feed WHERE name LIKE 'a stranger%'")}");
        self::assertCount(0, $this->get('/year')->filter('#feeds .rows'));
        $this->browser->request('GET', $path);
        $this->assertCode(404, 'it was stopped');
    }

    private function look(string $content, string $name = 'dates.ics'): Crawler
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'dates');
        file_put_contents($path, $content);
        $file = new UploadedFile($path, $name, 'text/calendar', null, true);

        return $this->browser->request('POST', '/occasions/file', ['_request' => (string) Uuid::v7(), '_form' => 'file'], ['file' => $file]);
    }

    private static function calendar(string $events): string
    {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Test//EN\r\n{$events}END:VCALENDAR\r\n";
    }

    private static function event(string $title, string $day, string $rule = "RRULE:FREQ=YEARLY\r\n"): string
    {
        return "BEGIN:VEVENT\r\nUID:{$day}\r\nDTSTAMP:20270101T000000Z\r\nDTSTART;VALUE=DATE:{$day}\r\n{$rule}SUMMARY:{$title}\r\nEND:VEVENT\r\n";
    }

    public function testBirthdaysOfACalendarAreLookedAtAndTakenIn(): void
    {
        $this->addDate(['person' => 'Hob', 'on' => '3 May']);
        $page = $this->look(self::calendar(
            self::event('Maren Tull’s birthday', '19860503').self::event('Hob’s birthday', '19600101').self::event('Dentist', '20270401', '')
                .self::event('Wedding anniversary of Ann and Silas', '16041224').self::event('Maren Tull’s Birthday', '19860504'),
        ));
        $this->assertCode(200);
        self::assertStringContainsString('3 dates, 2 new', $page->text());
        self::assertStringContainsString('1 entry has no yearly date', $page->text());
        self::assertSame(1, $this->number('SELECT count(*) FROM occasion'), 'nothing is written by looking');
        $lines = $page->filter('[name="dates[]"]')->each(static fn (Crawler $one): string => (string) $one->attr('value'));
        $fields = ['dates' => [...$lines, 'birthday|1|99|99|Nobody', 'x', 'birthday||1|1|']];
        self::assertStringContainsString('2 dates came into the year.', $this->postAndFollow('/occasions/import', $fields)->text());
        self::assertSame([5, 3, 1986], [$this->occasion('Maren Tull’s birthday')->on()->month, $this->occasion('Maren Tull’s birthday')->on()->day,
            $this->occasion('Maren Tull’s birthday')->on()->year]);
        self::assertNull($this->occasion('Ann and Silas’s anniversary')->on()->year, 'a year of 1604 is none');
        self::assertStringContainsString('2 were there already', $this->postAndFollow('/occasions/import', $fields)->text());
        self::assertCount(3, $this->service(Occasions::class)->all());
        $steps = $this->database()->fetchFirstColumn('SELECT id FROM write_request ORDER BY id DESC LIMIT 2');
        $this->postAndFollow('/log/undo', ['step' => \is_string($steps[1]) ? $steps[1] : '', 'back' => '/occasions']);
        self::assertCount(1, $this->service(Occasions::class)->all(), 'one undo takes all of them back');
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testAnAddressBookOfAnyAgeIsRead(): void
    {
        $cards = "BEGIN:VCARD\nVERSION:3.0\nFN:Ann Tern\nBDAY:1950-05-03\nEND:VCARD\n"
            ."BEGIN:VCARD\nVERSION:4.0\nFN:Isbel Quay\nBDAY:--0412\nANNIVERSARY:20100606\nEND:VCARD\n"
            ."BEGIN:VCARD\nVERSION:2.1\nN;CHARSET=UTF-8:Garrick;Old\nBDAY:19381231T000000Z\nEND:VCARD\n"
            ."BEGIN:VCARD\nVERSION:3.0\nFN:No Date\nEND:VCARD\nBEGIN:VCARD\nVERSION:3.0\nFN:Cut off\nBDAY:1950-05-03\n";
        [$found, $without] = (new DatesInFile())->read($cards);
        self::assertSame(
            ['birthday|1950|5|3|Ann Tern', 'birthday||4|12|Isbel Quay', 'anniversary|2010|6|6|Isbel Quay', 'birthday|1938|12|31|Garrick Old'],
            array_map(static fn (\App\Calendar\Year\FoundDate $date): string => $date->line(), $found),
        );
        self::assertSame(1, $without, 'of five cards two have no whole date, and one has two');
    }

    public function testPeopleAndDatesAreTakenAlongAndReadBack(): void
    {
        $this->addDate(['person' => 'Maren Tull', 'on' => '10 March 1961']);
        $this->addDate(['person' => 'Ann; and, Silas', 'kind' => 'anniversary', 'on' => '29 February']);
        $this->database()->executeStatement("UPDATE contact SET likes = 'gulls, knots; lamps'");
        $this->get('/occasions.vcf');
        $book = $this->browser->getInternalResponse()->getContent();
        $line = static fn (\App\Calendar\Year\FoundDate $date): string => $date->line();
        $found = static fn (string $content): array => array_map($line, (new DatesInFile())->read($content)[0]);
        self::assertSame(['anniversary||2|29|Ann; and, Silas', 'birthday|1961|3|10|Maren Tull'], $found($book));
        foreach (preg_split('/(?=^BEGIN:VCARD)/m', $book, -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $card) {
            self::assertSame([], Reader::read($card)->validate(), $card);
            self::assertStringContainsString('NOTE:gulls\\, knots\; lamps', $card);
        }
        $this->get('/occasions.ics');
        $calendar = $this->browser->getInternalResponse()->getContent();
        self::assertSame([], Reader::read($calendar)->validate());
        $dates = $found($calendar);
        sort($dates);
        self::assertSame(['anniversary||2|29|Ann; and, Silas', 'birthday|1961|3|10|Maren Tull'], $dates);
    }

    /** @return iterable<string, array{string, string}> */
    public static function filesThatAreNone(): iterable
    {
        yield 'nothing' => ['', 'neither a calendar'];
        yield 'a picture' => ["\x89PNG\r\n\x1a\n".str_repeat("\0", 50), 'neither a calendar'];
        yield 'an empty calendar' => [self::calendar(''), 'No birthday'];
        yield 'broken off' => [substr(self::calendar(self::event('Ann’s birthday', '19500503')), 0, 120), 'breaks off'];
        yield '50,000 events' => [self::calendar(str_repeat("BEGIN:VEVENT\r\nEND:VEVENT\r\n", 50_000)), '50,000 entries'];
        yield 'five megabytes' => [str_repeat('x', 5_000_000), 'larger than 4 MB'];
    }

    #[DataProvider('filesThatAreNone')]
    public function testAFileThatIsNoneIsToldBesideItsField(string $content, string $said): void
    {
        $page = $this->look($content);
        $this->assertCode(422);
        self::assertStringContainsString($said, $page->filter('#file-file-error')->text());
        self::assertSame(0, $this->number('SELECT count(*) FROM occasion'));
    }

    public function testTheWholeYearIsSeenAtAGlance(): void
    {
        $empty = $this->get('/year/whole');
        self::assertCount(53, $empty->filter('.whole-week'));
        self::assertStringContainsString('No date is in the year yet', $empty->filter('.months')->text());
        $this->sayHours();
        $this->addDate(['person' => 'Maren', 'on' => '10 March']);
        $this->addDate(['person' => 'Hob', 'on' => '20 February']);
        $this->kitDue('Terns', '2027-03-12', '6 h');
        $this->kitDue('Gulls', '2027-03-12', '6 h');
        $page = $this->get('/year/whole');
        self::assertStringContainsString('2 dates · 2 to make', $page->filter('.page-head')->text());
        self::assertCount(2, $page->filter('.whole-date.open'));
        $second = $page->filter('.whole-week')->eq(1);
        self::assertStringContainsString('Maren', (string) $second->attr('aria-label'));
        self::assertStringContainsString('Terns due', (string) $second->attr('aria-label'));
        self::assertGreaterThan(0, $page->filter('.whole-over')->count(), 'both want the same hours');
        self::assertSame(['March 2027', 'February 2028'], $page->filter('.months h2')->each(static fn (Crawler $one): string => $one->text()));
        self::assertStringContainsString('Maren', $this->get((string) $second->attr('href'))->filter('.week-list')->text());
    }

    public function testDaylightIsSaidWhereTheRoomIsSomewhere(): void
    {
        $this->sayHours();
        self::assertStringNotContainsString('Daylight', $this->get('/year')->text(), 'nobody knows where a room is that keeps UTC');
        $this->postAndFollow('/upkeep/room', ['room' => 'Test loft', 'measure' => 'in', 'time_zone' => 'Europe/London']);
        self::assertStringContainsString('Daylight from about 6:40 to 17:45.', $this->get('/year')->filter('.year-says')->text());
    }

    public function testWhatIsStillToBeBoughtIsAskedAbout(): void
    {
        [$card] = $this->putInto('C2', 'White card; ; 3');
        $kit = $this->planKit('Terns', [[$card, 8]]);
        $said = $this->get("/year?kit={$kit}")->filter('.year-kit')->text();
        self::assertStringContainsString('White card is short: say below from when it is there.', $said);
        $enough = $this->planKit('Gulls', []);
        self::assertStringNotContainsString('short', $this->get("/year?kit={$enough}")->filter('.year-kit')->text());
    }

    public function testPagesAreEmptyWithAWayOn(): void
    {
        self::assertStringContainsString('Nothing is in the year yet', $this->get('/year')->text());
        self::assertStringContainsString('No date is in the year yet', $this->get('/occasions')->text());
        foreach (['/year?from=x', '/year?from=9999-12-31', '/year?from=0001-01-01', '/year?kit=99', '/year?from=2027-02-30'] as $path) {
            $this->get($path);
            $this->assertCode(200, $path);
        }
    }

    public function testTheCalendarOfWhoeverLeftAnswersNoMore(): void
    {
        $this->signIn('hank');
        $this->postAndFollow('/year/feeds', ['name' => 'my phone']);
        $path = (string) parse_url((string) $this->get('/year')->filter('.feed-address')->attr('value'), \PHP_URL_PATH);
        $this->browser->request('GET', $path);
        $this->assertCode(200);
        $this->account('hank')->leave(new \DateTimeImmutable('2027-03-01'));
        $this->entities()->flush();
        $this->browser->restart();
        $this->browser->request('GET', $path);
        $this->assertCode(404);
    }

    public function testASeasonThatIsRunningIsInTheYearUntilItsLastDay(): void
    {
        $this->sayHours();
        $this->addDate(['kind' => 'season', 'person' => '', 'name' => 'Buoy week', 'on' => '2027-02-26', 'lasts' => '7']);
        $season = (int) $this->occasion('Buoy week')->id;
        $from = fn (int $day): array => array_map(
            static fn (DateInYear $date): string => $date->day->text(),
            array_values(array_filter(
                $this->service(YearReading::class)->of(Day::of(new \DateTimeImmutable("2027-03-0{$day}")), 1)->dates,
                static fn (DateInYear $date): bool => $season === $date->occasion->id,
            )),
        );
        self::assertSame(['2027-02-26'], $from(4), 'its seventh day');
        self::assertSame([], $from(5));
    }

    public function testWhatDriesDriesByTheRoomsOwnDays(): void
    {
        $kit = $this->kitDue('Gulls', '2027-03-13');
        $this->postAndFollow("/year/kits/{$kit}", ['time' => '3 h', 'drying_days' => '1']);
        [$card] = $this->putInto('C2', 'Card;;9');
        $this->step(function () use ($kit, $card): void {
            $this->service(KitList::class)->add($this->kit($kit), $this->item((int) $card->id), 2);
        });
        $this->database()->executeStatement("UPDATE room SET time_zone = 'Asia/Tokyo'");
        $this->service(RoomAtHand::class)->reset();
        Clock::set(new MockClock('2027-03-02 20:00:00 UTC'));
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->step(function (Step $step) use ($kit, $card): void {
            $nowhere = $this->service(Places::class)->outside(Outside::MadeHere);
            $made = $this->item((int) $card->id)->moves(1, $nowhere, $this->kit($kit)->trayInUse(), Reason::Make);
            $this->service(LogBook::class)->move($step, $made, $this->kit($kit)->inLog());
        });
        Clock::set(new MockClock('2027-03-03 10:00:00 UTC'));
        self::assertSame('2027-03-04', $this->service(KitTimes::class)->driesUntil($kit)?->text(), 'in Tokyo it was made on the third');
    }

    public function testOnlyAMachineThatIsWantedInEarnestIsWantedByTwo(): void
    {
        $this->sayHours();
        [$press, $die, $other] = $this->putInto('C2', 'Lever press; ; 1', 'Gull dies; ; 1', 'Spare press; ; 1');
        foreach ([$press, $other] as $machine) {
            $machine->describe($machine->record()->with(kind: \Lottel\Core\Catalogue\Kind::Machine));
        }
        $this->entities()->flush();
        $kit = 0;
        foreach (['Gulls', 'Menus'] as $name) {
            $kit = $this->planKit($name, [[$press, 1], [$die, 1]]);
            $this->postAndFollow("/year/kits/{$kit}", ['due_on' => '2027-03-06', 'time' => '1½ h', 'drying_days' => '', 'ready_from' => '']);
        }
        $told = fn (): array => $this->get('/year')->filter('.year-warning')->each(static fn (Crawler $one): string => $one->text());
        self::assertCount(1, $told(), 'the dies are passed from hand to hand');
        $this->step(function () use ($kit, $press, $other): void {
            $instead = $this->service(KitList::class)->add($this->kit($kit), $this->item((int) $other->id), 1);
            $instead->takenInsteadOf($this->service(Kits::class)->need($kit, $this->needId($kit, $press)));
        });
        self::assertSame([], $told());
    }
}
