using FaithfulBracket.Core.Words.Orders;

namespace FaithfulBracket.Core.Orders;

/// <summary>What a step done right looks and feels like, by what the hands do.</summary>
public static class WhatToFeel
{
    /// <summary>One or two sentences; null where there is nothing to see or feel.</summary>
    public static string? Of(StepKind kind) =>
        kind switch
        {
            StepKind.Read => WhatToFeelWords.ReadItAloudToYourself,
            StepKind.Count => WhatToFeelWords.PourBagIntoTraySort,
            StepKind.Run => WhatToFeelWords.SteadyMeansNoTemperatureMoves,
            StepKind.PowerOff => WhatToFeelWords.PressSwitchNoFanTwitches,
            StepKind.Unscrew => WhatToFeelWords.TipSitsFullInHeadBefore,
            StepKind.Unplug => WhatToFeelWords.PlugGivesWithoutWiresMoving,
            StepKind.Lift => WhatToFeelWords.ItLetsGoWithSlowTack,
            StepKind.Clean => WhatToFeelWords.ClothComesAwayWhiteFaceShows,
            StepKind.Prepare => WhatToFeelWords.FaceMirrorsLampWithoutStreak,
            StepKind.DryFit => WhatToFeelWords.ItLiesFlatByOwnWeight,
            StepKind.Cut => WhatToFeelWords.BladeGoesThroughInOneStroke,
            StepKind.Lay => WhatToFeelWords.PressedWithFingertipPadStays,
            StepKind.Spread => WhatToFeelWords.EvenFromSideNoSiliconShining,
            StepKind.Lower => WhatToFeelWords.ItComesDownLevelAndRests,
            StepKind.Start => WhatToFeelWords.EachScrewTurnsTwoRounds,
            StepKind.Turn => WhatToFeelWords.ResistanceGrowsSoftlyAndSame,
            StepKind.BackPlate => WhatToFeelWords.ItLiesFlatNoLead,
            StepKind.Fit => WhatToFeelWords.ItDropsInWithoutForce,
            StepKind.Plug => WhatToFeelWords.RingSqueezesInEvenlyAndRim,
            StepKind.Connect => WhatToFeelWords.ItClicksOrStopsShort,
            StepKind.Look => WhatToFeelWords.SameSliverOfLightAllAlong,
            StepKind.Photograph => WhatToFeelWords.EveryChipIsSharp,
            StepKind.LeakTest => WhatToFeelWords.DryPaperUnderEveryJoint,
            StepKind.Fill => WhatToFeelWords.NoBubbleCrossesBlockForMinute,
            StepKind.Boot => WhatToFeelWords.PictureAndEverySensorShowsFigure,
            StepKind.Store => WhatToFeelWords.EveryCellOfTrayGoes,
            StepKind.Fasten => WhatToFeelWords.LengthYouTookOutGoesBack,
            StepKind.Seat => WhatToFeelWords.ItDropsInByOwnWeight,
            StepKind.Warm => WhatToFeelWords.WarmRightThroughNotJust,
            StepKind.Shear => WhatToFeelWords.SoftTickAsBondLetsGo,
            StepKind.Scrape => WhatToFeelWords.ToolSlidesWithoutCatch,
            StepKind.Coat => WhatToFeelWords.ClosedGlossySkinOverEveryPart,
            StepKind.Rebuild => WhatToFeelWords.EveryPartLiesInBedBefore,
            _ => null,
        };
}
