namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of school.</summary>
internal static class SchoolWords
{
    public static Message WhenModulesGoIntoTheirSlots => $"When modules go into their slots";

    public static Message OneByOneBlockAfter => $"one by one, the block after";

    public static Message EachLatchIsHeardByItself =>
        $"Each latch is heard by itself, and nothing heavy hangs on a slot while it is pressed.";

    public static Message AllAtOnceUnderTheirBlock => $"all at once under their block";

    public static Message BoltsAreTurnedOnBench =>
        $"The bolts are turned on the bench, where there is room for the hand.";

    public static Message HolesStayInSight => $"Holes stay in sight from above, and a card is lighter than its block.";

    public static Message MainboardLiesStillInTray =>
        $"A mainboard lies still in its tray; pads on the board stay where they were laid.";

    public static Message HowBlocksFollowEachOther => $"How the blocks follow each other";

    public static Message OneAfterOther => $"one after the other";

    public static Message EveryBlockGetsWholeFlow =>
        $"Every block gets the whole flow; the later ones get it a little warmer.";

    public static Message LessDropSameInletForAll =>
        $"Less drop, the same inlet for all; the freest block takes the most.";

    public static Message WhatCleansFaces => $"What cleans the faces";

    public static Message RemoverOnOldPasteAlcohol => $"remover on old paste, alcohol on the rest";

    public static Message PasteLetsGoInOneWipe =>
        $"Paste lets go in one wipe; pads leave nothing that alcohol does not take.";

    public static Message AlcoholEveryContactFace => $"alcohol, every contact face";

    public static Message ResidueAnywhereLiftsPadAndTilts => $"Residue anywhere lifts a pad and tilts the block.";

    public static Message RemoverFirstOnEveryFace => $"remover first, on every face";

    public static Message OldPasteComesOff =>
        $"Old paste comes off in one wipe; it has to wait, and alcohol follows all the same.";

    public static Message HowPadsAreCut => $"How pads are cut";

    public static Message PieceForEachPart => $"a piece for each part";

    public static Message MinWasteAndEachPartsSquash => $"Least waste, and each part's squash is its own.";

    public static Message WholeStripsOverRow => $"whole strips over a row";

    public static Message FewerPiecesToPeelAndLay =>
        $"Fewer pieces to peel and lay; the strip also covers what lies between the chips.";

    public static Message WhenOuterFilmsComeOff => $"When the outer films come off";

    public static Message LastRightBeforeBlockCloses => $"last, right before the block closes";

    public static Message NothingSettlesOnOpenPad =>
        $"Nothing settles on an open pad; the films are counted at the block.";

    public static Message EachPadIsFinished =>
        $"Each pad is finished in one go; keep dust and lint away until the block is on.";

    public static Message WherePadsAreLaid => $"Where pads are laid";

    public static Message ByTackySide => $"by the tacky side";

    public static Message TackySideHoldsWherePart =>
        $"The tacky side holds where the part is turned over: that decides board or block.";

    public static Message PartShowsWherePadBelongs =>
        $"The part shows where the pad belongs; nothing falls when the plate comes down.";

    public static Message MarkedPocketsMakePlacingEasier =>
        $"Marked pockets make placing easier, and a board that is turned over loses none.";

    public static Message PasteOnBareSilicon => $"Paste on bare silicon";

    public static Message SpreadToFullCover => $"spread to full cover";

    public static Message BareSiliconHasNothingThatCarries =>
        $"Bare silicon has nothing that carries heat sideways: a corner without paste overheats.";

    public static Message NoAirIsShut =>
        $"No air is shut in, and the clamp makes the film; look at what the simulation leaves bare.";

    public static Message OneLinePressedOut => $"one line, pressed out";

    public static Message RightForLongNarrowDie => $"Right for a long narrow die.";

    public static Message ReachesCornersOfSquareLid => $"Reaches the corners of a square lid with the least excess.";

    public static Message CannotShutInAir =>
        $"Cannot shut in air; leaves the corners of a large lid bare, which matters little.";

    public static Message FollowsLongDieUnderLid => $"Follows a long die under the lid.";

    public static Message SureOfFullCover => $"Sure of full cover; takes a steady hand.";

    public static Message HowFarAtTime => $"How far at a time";

    public static Message LargestEvenStepInBounds => $"the largest even step in bounds";

    public static Message SimulationKeepsTiltAndEdgePressure =>
        $"The simulation keeps tilt and edge pressure within limits with the fewest moves.";

    public static Message SlowAndEvenWhateverSprings => $"Slow and even whatever the springs are.";

    public static Message TwoTurnsThenOpposite => $"two turns, then the opposite";

    public static Message QuickOnLongSprings => $"Quick on long springs; watch the tilt it shows.";

    public static Message OnlyWhereStopsAreShort => $"Only where stops are short: see what the edge has to take.";

    public static Message ToHardStopElseSimulatedLoad => $"to the hard stop, else the simulated load";

    public static Message EvennessMattersMoreThanTightness =>
        $"Evenness matters more than tightness; a shank that stops makes every screw the same.";

    public static Message UntilItGripsThenLittleMore => $"until it grips, then a little more";

    public static Message ForScrewsWithoutStopAndWithout =>
        $"For screws without a stop and without figures: the same little more on each.";

    public static Message PressingDownWhileScrewing => $"Pressing down while screwing";

    public static Message SpringsSetLoad =>
        $"The springs set the load. Pressing on a corner adds an uncontrolled load.";

    public static Message LightInMiddle => $"light, in the middle";

    public static Message HelpsShortSpringsToCatch =>
        $"Helps short springs to catch; only over the die, never at a corner.";

    public static Message ScrewsThatBackPlateNeeds => $"Screws that the back plate needs";

    public static Message LeftOutUntil => $"left out until it is on";

    public static Message TheyHoldBackPlate =>
        $"They hold the back plate: put in early they have to come out again under load.";

    public static Message AllInThenSomeOut => $"all in, then some out";

    public static Message BlockIsHeldEverywhereWhileBoard =>
        $"The block is held everywhere while the board is handled.";

    public static Message LookingAtImprint => $"Looking at the imprint";

    public static Message NoLiftUnlessProofIsPoor => $"no lift unless proof is poor";

    public static Message EveryLiftCostsFreshPads =>
        $"Every lift costs fresh pads and paste and another chance to chip a die.";

    public static Message LiftOnceReadItMountAgain => $"lift once, read it, mount again";

    public static Message ImprintShowsFilmAndPads =>
        $"The imprint shows film and pads as they are; fresh pads and paste go on for the second time.";

    public static Message PressedPadsDoNotComeBack => $"Pressed pads do not come back to their thickness.";

    public static Message KeepThoseOfBackPlate => $"keep those of the back plate";

    public static Message IntactAndUndisturbedTheyFit => $"Intact and undisturbed, they fit where they were.";

    public static Message EachToStop => $"each to its stop";

    public static Message InWhichOrderScrewsComeOut => $"In which order a cooler's screws come out";

    public static Message DieRingLast => $"the die ring last, in a cross";

    public static Message CoolerStaysFlatWhileSpringsLetGo =>
        $"The cooler stays flat on the die while its springs let go.";

    public static Message RibbonBetweenBoards => $"The ribbon between two boards";

    public static Message UnplugRibbon => $"unplug it";

    public static Message EachBoardIsTurnedByItself => $"Each board is cleaned, padded and turned by itself.";

    public static Message LeaveRibbonPlugged => $"leave it plugged";

    public static Message NoLatchIsOpenedBoardsOpenLikeBook =>
        $"No latch is opened: fewer to break. The boards open like a book and are never pulled apart.";

    public static Message FromCoreOutward => $"from the core outward";

    public static Message StandoffsCarryCooler =>
        $"Where standoffs carry the cooler, the die is free of load before the outer screws come out.";

    public static Message PlateBehindBeforeAnyScrew => $"the plate behind the board before any screw";

    public static Message EveryScrewIsTurnedOnce =>
        $"Every screw is turned once, through the plate. Where the block is lowered instead, it goes on last.";
}
