using FaithfulBracket.Core.Words.Orders;

namespace FaithfulBracket.Core.Orders;

/// <summary>What a step done right looks and feels like, by what the hands do.</summary>
public static class ExpectedFeel
{
    /// <summary>One or two sentences; null where there is nothing to see or feel.</summary>
    public static Message? Find(StepKind kind) =>
        kind switch
        {
            StepKind.Count => ExpectedFeelWords.PourBagIntoTraySort,
            StepKind.Run => ExpectedFeelWords.SteadyMeansNoTemperatureMoves,
            StepKind.PowerOff => ExpectedFeelWords.PressSwitchNoFanTwitches,
            StepKind.Unscrew => ExpectedFeelWords.TipSitsFullInHeadBefore,
            StepKind.Unplug => ExpectedFeelWords.PlugGivesWithoutWiresMoving,
            StepKind.Lift => ExpectedFeelWords.ItLetsGoWithSlowTack,
            StepKind.Clean => ExpectedFeelWords.ClothComesAwayWhiteFaceShows,
            StepKind.Prepare => ExpectedFeelWords.FaceMirrorsLampWithoutStreak,
            StepKind.DryFit => ExpectedFeelWords.ItLiesFlatByOwnWeight,
            StepKind.Cut => ExpectedFeelWords.BladeGoesThroughInOneStroke,
            StepKind.Lay => ExpectedFeelWords.PressedWithFingertipPadStays,
            StepKind.Spread => ExpectedFeelWords.EvenFromSideNoSiliconShining,
            StepKind.Lower => ExpectedFeelWords.ItComesDownLevelAndRests,
            StepKind.Start => ExpectedFeelWords.EachScrewTurnsTwoRounds,
            StepKind.Turn => ExpectedFeelWords.ResistanceGrowsSoftlyAndSame,
            StepKind.BackPlate => ExpectedFeelWords.ItLiesFlatNoLead,
            StepKind.Fit => ExpectedFeelWords.ItDropsInWithoutForce,
            StepKind.Plug => ExpectedFeelWords.RingSqueezesInEvenlyAndRim,
            StepKind.Connect => ExpectedFeelWords.ItClicksOrStopsShort,
            StepKind.Look => ExpectedFeelWords.SameSliverOfLightAllAlong,
            StepKind.Photograph => ExpectedFeelWords.EveryChipIsSharp,
            StepKind.LeakTest => ExpectedFeelWords.DryPaperUnderEveryJoint,
            StepKind.Fill => ExpectedFeelWords.NoBubbleCrossesBlockForMinute,
            StepKind.Boot => ExpectedFeelWords.ScreenShowsPictureAndSensors,
            StepKind.Store => ExpectedFeelWords.EveryCellOfTrayGoes,
            StepKind.Fasten => ExpectedFeelWords.LengthYouTookOutGoesBack,
            StepKind.Seat => ExpectedFeelWords.ItDropsInByOwnWeight,
            StepKind.Warm => ExpectedFeelWords.WarmRightThroughNotJust,
            StepKind.Shear => ExpectedFeelWords.SoftTickAsBondLetsGo,
            StepKind.Scrape => ExpectedFeelWords.ToolSlidesWithoutCatch,
            StepKind.Coat => ExpectedFeelWords.ClosedGlossySkinOverEveryPart,
            StepKind.Rebuild => ExpectedFeelWords.EveryPartLiesInBedBefore,
            _ => null,
        };
}
