namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of what to feel.</summary>
internal static class ExpectedFeelWords
{
    public static Message PourBagIntoTraySort => $"Pour the bag into the tray, sort by length, count each heap twice.";

    public static Message SteadyMeansNoTemperatureMoves =>
        $"Steady means: no temperature moves by more than half a kelvin in five minutes.";

    public static Message PressSwitchNoFanTwitches =>
        $"Press the switch: no fan twitches, no light glows. Wait half a minute.";

    public static Message TipSitsFullInHeadBefore =>
        $"The tip sits full in the head before it turns. A screw that comes easily is out; one that squeaks is "
        + $"still under load.";

    public static Message PlugGivesWithoutWiresMoving =>
        $"The plug gives without the wires moving. Mark where it sat and which way round.";

    public static Message ItLetsGoWithSlowTack =>
        $"It lets go with a slow tack, first at one corner. A hard stop means a screw or a lead: put it down and "
        + $"look.";

    public static Message ClothComesAwayWhiteFaceShows =>
        $"The cloth comes away white, the face shows no film when you tilt it to the light.";

    public static Message FaceMirrorsLampWithoutStreak => $"The face mirrors the lamp without a streak.";

    public static Message ItLiesFlatByOwnWeight => $"It lies flat by its own weight and does not rock on any corner.";

    public static Message BladeGoesThroughInOneStroke =>
        $"The blade goes through in one stroke along the ruler; the edge stands square.";

    public static Message PressedWithFingertipPadStays =>
        $"Pressed with a fingertip the pad stays, and its corners show all round the chip.";

    public static Message EvenFromSideNoSiliconShining =>
        $"Even from the side, no silicon shining through, nothing over the edge.";

    public static Message ItComesDownLevelAndRests =>
        $"It comes down level and rests on its pads; every hole shows a thread.";

    public static Message EachScrewTurnsTwoRounds =>
        $"Each screw turns two rounds with the fingers. One that binds is crossed: back it out.";

    public static Message ResistanceGrowsSoftlyAndSame => $"Resistance grows softly and the same on each.";

    public static Message ItLiesFlatNoLead => $"It lies flat, no lead under it; the screws find their thread at once.";

    public static Message ItDropsInWithoutForce => $"It drops in without force.";

    public static Message RingSqueezesInEvenlyAndRim =>
        $"The ring squeezes in evenly and the rim lies flat: hand tight is tight.";

    public static Message ItClicksOrStopsShort =>
        $"It clicks or stops short of the board; a gentle pull does not move it.";

    public static Message SameSliverOfLightAllAlong =>
        $"The same sliver of light all along each edge; none at the die.";

    public static Message EveryChipIsSharp => $"Every chip is sharp and in the picture, and a ruler lies beside them.";

    public static Message DryPaperUnderEveryJoint => $"Dry paper under every joint when the wait is over.";

    public static Message NoBubbleCrossesBlockForMinute =>
        $"No bubble crosses the block for a minute, and the level in the reservoir stays.";

    public static Message ScreenShowsPictureAndSensors =>
        $"The screen shows a picture, and every sensor shows a plausible value.";

    public static Message EveryCellOfTrayGoes => $"Every cell of the tray goes into its own bag with its label.";

    public static Message LengthYouTookOutGoesBack =>
        $"The length you took out goes back in: it stops where it stopped before.";

    public static Message ItDropsInByOwnWeight =>
        $"It drops in by its own weight and lies flat: no contact is touched, nothing is pushed.";

    public static Message WarmRightThroughNotJust =>
        $"Warm right through, not just on top: the jig takes the heat too.";

    public static Message SoftTickAsBondLetsGo =>
        $"A soft tick as the bond lets go; the lid moves on its own from then on.";

    public static Message ToolSlidesWithoutCatch =>
        $"The tool slides without a catch; the light shows no edge of the old film.";

    public static Message ClosedGlossySkinOverEveryPart =>
        $"A closed, glossy skin over every part, the old glue line left clean.";

    public static Message EveryPartLiesInBedBefore =>
        $"Every part lies in its bed before a screw turns; the gap closes evenly all round.";
}
