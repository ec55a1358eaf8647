namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of school.</summary>
internal static class SchoolWords
{
    public const string WhenModulesGoIntoTheirSlots = "When modules go into their slots";

    public const string OneByOneBlockAfter = "one by one, the block after";

    public const string EachLatchIsHeardByItself =
        "Each latch is heard by itself, and nothing heavy hangs on a slot while it is pressed.";

    public const string AllAtOnceUnderTheirBlock = "all at once under their block";

    public const string BoltsAreTurnedOnBench = "The bolts are turned on the bench, where there is room for the hand.";

    public const string HolesStayInSight = "Holes stay in sight from above, and a card is lighter than its block.";

    public const string MainboardLiesStillInTray =
        "A mainboard lies still in its tray; pads on the board stay where they were laid.";

    public const string HowBlocksFollowEachOther = "How the blocks follow each other";

    public const string OneAfterOther = "one after the other";

    public const string EveryBlockGetsWholeFlow =
        "Every block gets the whole flow; the later ones get it a little warmer.";

    public const string LessDropSameInletForAll = "Less drop, the same inlet for all; the freest block takes the most.";

    public const string WhatCleansFaces = "What cleans the faces";

    public const string RemoverOnOldPasteAlcohol = "remover on old paste, alcohol on the rest";

    public const string PasteLetsGoInOneWipe =
        "Paste lets go in one wipe; pads leave nothing that alcohol does not take.";

    public const string AlcoholEveryContactFace = "alcohol, every contact face";

    public const string ResidueAnywhereLiftsPadAndTilts = "Residue anywhere lifts a pad and tilts the block.";

    public const string RemoverFirstOnEveryFace = "remover first, on every face";

    public const string OldPasteComesOff =
        "Old paste comes off in one wipe; it has to wait, and alcohol follows all the same.";

    public const string HowPadsAreCut = "How pads are cut";

    public const string PieceForEachPart = "a piece for each part";

    public const string MinWasteAndEachPartsSquash = "Least waste, and each part's squash is its own.";

    public const string WholeStripsOverRow = "whole strips over a row";

    public const string FewerPiecesToPeelAndLay =
        "Fewer pieces to peel and lay; the strip also covers what lies between the chips.";

    public const string WhenOuterFilmsComeOff = "When the outer films come off";

    public const string LastRightBeforeBlockCloses = "last, right before the block closes";

    public const string NothingSettlesOnOpenPad = "Nothing settles on an open pad; the films are counted at the block.";

    public const string EachPadIsFinished =
        "Each pad is finished in one go; keep dust and lint away until the block is on.";

    public const string WherePadsAreLaid = "Where pads are laid";

    public const string ByTackySide = "by the tacky side";

    public const string TackySideHoldsWherePart =
        "The tacky side holds where the part is turned over: that decides board or block.";

    public const string PartShowsWherePadBelongs =
        "The part shows where the pad belongs; nothing falls when the plate comes down.";

    public const string MarkedPocketsMakePlacingEasier =
        "Marked pockets make placing easier, and a board that is turned over loses none.";

    public const string PasteOnBareSilicon = "Paste on bare silicon";

    public const string SpreadToFullCover = "spread to full cover";

    public const string BareSiliconHasNothingThatCarries =
        "Bare silicon has nothing that carries heat sideways: a corner without paste overheats.";

    public const string NoAirIsShut =
        "No air is shut in, and the clamp makes the film; look at what the simulation leaves bare.";

    public const string OneLinePressedOut = "one line, pressed out";

    public const string RightForLongNarrowDie = "Right for a long narrow die.";

    public const string ReachesCornersOfSquareLid = "Reaches the corners of a square lid with the least excess.";

    public const string CannotShutInAir =
        "Cannot shut in air; leaves the corners of a large lid bare, which matters little.";

    public const string FollowsLongDieUnderLid = "Follows a long die under the lid.";

    public const string SureOfFullCover = "Sure of full cover; takes a steady hand.";

    public const string HowFarAtTime = "How far at a time";

    public const string LargestEvenStepInBounds = "the largest even step in bounds";

    public const string SimulationKeepsTiltAndEdgePressure =
        "The simulation keeps tilt and edge pressure within limits with the fewest moves.";

    public const string SlowAndEvenWhateverSprings = "Slow and even whatever the springs are.";

    public const string TwoTurnsThenOpposite = "two turns, then the opposite";

    public const string QuickOnLongSprings = "Quick on long springs; watch the tilt it shows.";

    public const string OnlyWhereStopsAreShort = "Only where stops are short: see what the edge has to take.";

    public const string ToHardStopElseSimulatedLoad = "to the hard stop, else the simulated load";

    public const string EvennessMattersMoreThanTightness =
        "Evenness matters more than tightness; a shank that stops makes every screw the same.";

    public const string UntilItGripsThenLittleMore = "until it grips, then a little more";

    public const string ForScrewsWithoutStopAndWithout =
        "For screws without a stop and without figures: the same little more on each.";

    public const string PressingDownWhileScrewing = "Pressing down while screwing";

    public const string SpringsSetLoad = "The springs set the load. Pressing on a corner adds an uncontrolled load.";

    public const string LightInMiddle = "light, in the middle";

    public const string HelpsShortSpringsToCatch =
        "Helps short springs to catch; only over the die, never at a corner.";

    public const string ScrewsThatBackPlateNeeds = "Screws that the back plate needs";

    public const string LeftOutUntil = "left out until it is on";

    public const string TheyHoldBackPlate =
        "They hold the back plate: put in early they have to come out again under load.";

    public const string AllInThenSomeOut = "all in, then some out";

    public const string BlockIsHeldEverywhereWhileBoard = "The block is held everywhere while the board is handled.";

    public const string LookingAtImprint = "Looking at the imprint";

    public const string NoLiftUnlessProofIsPoor = "no lift unless proof is poor";

    public const string EveryLiftCostsFreshPads =
        "Every lift costs fresh pads and paste and another chance to chip a die.";

    public const string LiftOnceReadItMountAgain = "lift once, read it, mount again";

    public const string ImprintShowsFilmAndPads =
        "The imprint shows film and pads as they are; fresh pads and paste go on for the second time.";

    public const string PressedPadsDoNotComeBack = "Pressed pads do not come back to their thickness.";

    public const string KeepThoseOfBackPlate = "keep those of the back plate";

    public const string IntactAndUndisturbedTheyFit = "Intact and undisturbed, they fit where they were.";

    public const string EachToStop = "each to its stop";

    public const string InWhichOrderScrewsComeOut = "In which order a cooler's screws come out";

    public const string DieRingLast = "the die ring last, in a cross";

    public const string CoolerStaysFlatWhileSpringsLetGo = "The cooler stays flat on the die while its springs let go.";

    public const string FromCoreOutward = "from the core outward";

    public const string StandoffsCarryCooler =
        "Where standoffs carry the cooler, the die is free of load before the outer screws come out.";

    public const string PlateBehindBeforeAnyScrew = "the plate behind the board before any screw";

    public const string EveryScrewIsTurnedOnce =
        "Every screw is turned once, through the plate. Where the block is lowered instead, it goes on last.";
}
