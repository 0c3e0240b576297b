<?php

declare(strict_types=1);

namespace App\Platform\Steps;

/** A step that makes no sense just now; the message tells a person why and what to do. */
final class StepRefused extends \DomainException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function isForGrownUps(string $name): self
    {
        return new self(\sprintf('%s is not for children to take: ask a grown-up for it.', $name));
    }

    public static function isHandedOver(string $to): self
    {
        return new self(\sprintf('It is handed over to %s already. Take it back first.', $to));
    }

    public static function cameMeanwhile(string $thing): self
    {
        return new self(\sprintf('%s came in since this page was made: see how much of it is there now before more is written down.', $thing));
    }

    public static function isKeptForMore(string $piece): self
    {
        return new self(\sprintf('%s would be kept for more days than there are of it: see for which on the shelf, and put one back first.', $piece));
    }

    public static function isInAnAlbum(string $page): self
    {
        return new self(\sprintf('%s has another place in an album meanwhile: take it out there first.', $page));
    }

    public static function basketIsTaken(string $round): self
    {
        return new self(\sprintf('“%s” has its basket now: end that round first.', $round));
    }

    public static function takesNoMore(string $kit, bool $isParked): self
    {
        return new self(\sprintf(
            $isParked
                ? '“%s” waits in its folder: take it up first, or choose another kit.'
                : '“%s” is going home: choose another kit, or pull for it again first.',
            $kit,
        ));
    }

    public static function isHomeOfAFolder(string $address, string $folder, string $kit): self
    {
        return new self(\sprintf('%s with “%s” stands in %s. Take the kit up, or say where else its folder stands.', ucfirst($folder), $kit, $address));
    }

    public static function isOnesOwn(): self
    {
        return new self('It is yours already.');
    }

    public static function handoverIsSettled(): self
    {
        return new self('That was settled in the meantime; this is how it stands now.');
    }

    public static function isNotUsedUp(string $name): self
    {
        return new self(\sprintf('%s is not used up by the work; it goes home.', $name));
    }

    public static function pieceIsDone(string $piece, int $which): self
    {
        return new self(\sprintf('%s %d was done in the meantime, or taken back; this is how it stands now.', ucfirst($piece), $which));
    }

    public static function ownerIsGrownUp(string $name): self
    {
        return new self(\sprintf('%s runs this room; only a helper is a child here.', $name));
    }

    public static function isNoInk(string $name): self
    {
        return new self(\sprintf('%s is no ink.', $name));
    }

    public static function bagIsPacked(int $number): self
    {
        return new self(\sprintf('Bag %d is packed already.', $number));
    }

    public static function bagIsNotPacked(int $number): self
    {
        return new self(\sprintf('Bag %d is not packed.', $number));
    }

    public static function noSuchBag(int $number, int $bags): self
    {
        return new self(\sprintf('There is no bag %d; there are %d of them.', $number, $bags));
    }

    public static function nothingToPack(string $kit): self
    {
        return new self(\sprintf('“%s” is on no tray; pull it first, then pack its bags.', $kit));
    }

    public static function albumIsFull(string $album, int $most): self
    {
        return new self(\sprintf('“%s” has %d pages; begin another album for those after them.', $album, $most));
    }

    public static function isInAlbum(string $page, string $album): self
    {
        return new self(\sprintf('%s is in “%s” already.', $page, $album));
    }

    public static function nothingOfCollection(string $collection): self
    {
        return new self(\sprintf('Nothing of “%s” is in a drawer that is not on the list already.', $collection));
    }

    public static function collectionIsLarge(string $collection, int $things, int $most): self
    {
        return new self(\sprintf('“%s” has %d things; at once %d of a collection can be taken. Choose them one by one.', $collection, $things, $most));
    }

    public static function othersBelongToIt(): self
    {
        return new self('Other things belong to it by now, so it stays as it is. Take those back first.');
    }

    public static function isParked(string $kit, string $folder): self
    {
        return new self(\sprintf('“%s” waits in %s already.', $kit, $folder));
    }

    public static function isNotParked(string $kit, string $tray): self
    {
        return new self(\sprintf('“%s” is on %s already.', $kit, $tray));
    }

    public static function allFoldersAreTaken(int $folders): self
    {
        return new self(\sprintf('All %d folders are in use. Take up a kit, or bring one home first.', $folders));
    }

    public static function occasionIsNotThen(string $occasion): self
    {
        return new self(\sprintf('%s is not on that day any more; this is how it stands.', $occasion));
    }

    public static function occasionHasKit(string $occasion, string $kit): self
    {
        return new self(\sprintf('“%s” is planned for %s. Take that kit off first, or let the date be.', $kit, $occasion));
    }

    public static function itsOwnCompanion(string $name): self
    {
        return new self(\sprintf('%s is always with itself; choose another thing.', $name));
    }

    public static function nowhereToBeFound(string $item): self
    {
        return new self(\sprintf('%s is in no drawer now, as far as the log knows.', $item));
    }

    public static function nothingIsHalfCut(): self
    {
        return new self('Nothing lies there half cut any more; this is how it stands.');
    }

    public static function isHalfCut(string $paper): self
    {
        return new self(\sprintf('%s lies there half cut. Go on at the cutting table, or say there that it stays as it is; then it goes home.', $paper));
    }

    public static function isNotOnTheTable(): self
    {
        return new self('That sheet is not on the table any more, or was cut in the meantime; this is how it stands.');
    }

    public static function isNotUnderTheBlade(string $what): self
    {
        return new self(\sprintf('%s is not what lies under the blade. Scan that paper, or the trimmer.', $what));
    }

    public static function isScoredAlready(string $piece): self
    {
        return new self(\sprintf('So many of “%s” are not left to be scored; this is how it stands.', $piece));
    }

    public static function isCutAlready(string $piece, int $there): self
    {
        return new self(\sprintf('%d of “%s” are cut or being cut already; it cannot be fewer.', $there, $piece));
    }

    public static function isForCutting(string $item, int $sheets): self
    {
        return new self(\sprintf('%d of %s are for the cuts of this kit. Change its pieces, and the list follows.', $sheets, $item));
    }

    public static function hasADesign(string $kit): self
    {
        return new self(\sprintf('“%s” has a design already; here it is.', $kit));
    }

    public static function nothingIsOtherwise(): self
    {
        return new self('The bench took what the design says, or took it back in the meantime.');
    }

    public static function stepIsGone(): self
    {
        return new self('The design has no such step any more, or makes fewer by now; this is how it stands.');
    }

    public static function designChanged(): self
    {
        return new self('Somebody has changed this design since. It is drawn as it stands now; what you typed is still there. Press again if it still holds.');
    }

    public static function isOnTheTray(string $item): self
    {
        return new self(\sprintf('%s is on the tray already. Return it, then take it off the list.', $item));
    }

    public static function sentBySomebodyElse(): self
    {
        return new self('Somebody else has sent this form already, so nothing was written. Open its page again.');
    }

    public static function goesOnElsewhere(): self
    {
        return new self('This goes on in another window already, or was taken back in the meantime. Open its page again.');
    }

    public static function changedSince(string $what): self
    {
        return new self(\sprintf('%s was changed since, so this cannot be taken back as a whole. Nothing was changed.', $what));
    }

    public static function isInUse(string $what): self
    {
        return new self(\sprintf('%s is in use by now, so it cannot be taken back. Nothing was changed.', $what));
    }

    public static function isGivenToAnother(): self
    {
        return new self('An address or a name that would come back belongs to another by now. Nothing was changed.');
    }

    public static function wouldOverlap(string $back, string $there): self
    {
        return new self(\sprintf('%s would come back to where %s is now. Nothing was changed.', $back, $there));
    }

    public static function homeIsGone(string $address): self
    {
        return new self(\sprintf('%s is no longer in use, so it cannot be a home again. Nothing was changed.', $address));
    }

    public static function trayHasAnother(): self
    {
        return new self('Another kit is on that tray by now. Nothing was changed.');
    }

    public static function isTheOwnersStep(): self
    {
        return new self('This is a step of the owner’s; only the owner takes it back.');
    }

    public static function notAPlaceOfStorage(string $place): self
    {
        return new self(\sprintf('Nothing is kept in “%s”. Choose a drawer, or what is not filed.', $place));
    }

    public static function isTaken(string $item, string $who, string $tray): self
    {
        return new self(\sprintf('%s has taken %s already; it is on %s. Nothing more of it is to be taken.', $who, $item, $tray));
    }

    public static function isSettled(string $item): self
    {
        return new self(\sprintf('%s is settled already; nothing more of it is to be taken.', $item));
    }

    public static function moreThanWanted(string $item, string $left): self
    {
        return new self(\sprintf('Only %s of %s is still wanted. Change the list first if you need more.', $left, $item));
    }

    public static function hasMoved(string $item): self
    {
        return new self(\sprintf('%s has moved already, and the log keeps it. Give it away or count it down to nothing instead.', $item));
    }

    public static function isOnAList(string $item, string $kit): self
    {
        return new self(\sprintf('%s is on the list of “%s”. Take it off that list first.', $item, $kit));
    }

    public static function isNotPlanned(string $kit): self
    {
        return new self(\sprintf('“%s” has been pulled; it can be closed, not deleted.', $kit));
    }

    public static function trayIsGone(): self
    {
        return new self('That kit has left its tray since; pull the thing anew instead.');
    }

    public static function isHalfUndone(string $why): self
    {
        return new self($why.' A part of the step was taken back before that; undo it once more when this is settled.');
    }

    public static function nothingToUndo(): self
    {
        return new self('There is nothing left to undo in that step.');
    }

    public static function careIsOpen(string $do): self
    {
        return new self('Tick what has been done first: '.$do);
    }

    public static function addressIsTaken(string $address): self
    {
        return new self(\sprintf('There is a place %s already.', $address));
    }

    public static function livesElsewhere(string $name, string $address): self
    {
        return new self(\sprintf('%s does not live in %s. Take it in as a second one, or leave it out.', $name, $address));
    }

    public static function hasNoSize(string $name): self
    {
        return new self(\sprintf('How large is a sheet of %s? Say that first.', $name));
    }

    public static function isNoStock(string $name): self
    {
        return new self(\sprintf('%s is one thing: there is no stock of it.', $name));
    }

    public static function isNoPaper(string $name): self
    {
        return new self(\sprintf('%s is no paper.', $name));
    }

    public static function nothingTouched(): self
    {
        return new self('Touch a thing in the photo, and name it.');
    }

    public static function everythingLeftOut(): self
    {
        return new self('Every line is left out, so that nothing would be put in.');
    }

    public static function nothingChosen(): self
    {
        return new self('Nothing is chosen yet.');
    }

    public static function lastOwner(string $name): self
    {
        return new self(\sprintf('%s is the only owner; somebody has to look after the room.', $name));
    }

    public static function nothingToChange(): self
    {
        return new self('Say what is to change: a maker, a theme, a kind, a collection, a season, or a new home.');
    }

    public static function isForNewThings(string $place): self
    {
        return new self(\sprintf('New things wait in %s until they are filed. Choose another place for the season at hand.', $place));
    }

    public static function waitsInNoBox(string $item): self
    {
        return new self(\sprintf('%s does not wait in that box any more.', $item));
    }

    public static function noSizeIsWritten(): self
    {
        return new self('Write down what at least one of them cuts.');
    }

    public static function trackingIsKept(): self
    {
        return new self('This has moved already. Say under “Count it in another way” how much of the one is how much of the other.');
    }

    /** @param string $how such as “lent to Pelle” */
    public static function isOnLoan(string $item, string $how): self
    {
        return new self(\sprintf('%s is %s. When that is settled, change how it is counted.', $item, $how));
    }

    public static function bringHomeFirst(string $item, string $tray): self
    {
        return new self(\sprintf('%s is on %s. Return it first, then change how it is counted.', $item, $tray));
    }

    public static function notLost(string $item): self
    {
        return new self(\sprintf('%s is not marked lost any more.', $item));
    }

    public static function hasNoFront(string $address): self
    {
        return new self(\sprintf('%s lies inside another place. Divide it instead.', $address));
    }

    public static function hasNoFrontToMove(string $address): self
    {
        return new self(\sprintf('%s is part of its unit and stays where it is. Move what is in it instead.', $address));
    }

    public static function hasNoPlaces(string $letters): self
    {
        return new self(\sprintf('%s has no places any more.', $letters));
    }

    public static function withItself(string $address): self
    {
        return new self(\sprintf('%s cannot be made one with itself.', $address));
    }

    public static function intoItself(string $address, string $outer): self
    {
        return new self(\sprintf('%s cannot go into %s: that lies inside it.', $address, $outer));
    }

    public static function isNotEmpty(string $address): self
    {
        return new self(\sprintf('%s is not empty, or is still somebody’s home. Move what belongs there first.', $address));
    }

    public static function otherUnit(string $address, string $letters): self
    {
        return new self(\sprintf('%s would be in another unit. This one’s addresses begin with %s.', $address, $letters));
    }

    public static function sheetIsThere(string $name): self
    {
        return new self(\sprintf('There is a sheet called %s already.', $name));
    }
}
