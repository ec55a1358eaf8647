using FaithfulBracket.Core.Words.Orders;

namespace FaithfulBracket.Core.Orders;

/// <summary>One working default as it is told, changed and kept.</summary>
/// <param name="Key">Its name in files, for ever.</param>
/// <param name="Group">Where it acts.</param>
/// <param name="Reason">Why the default is what it is.</param>
public sealed record ShopSetting(
    string Key,
    string Name,
    string Group,
    string Unit,
    double Least,
    double Most,
    string Reason,
    Func<ShopSettings, double> Get,
    Func<ShopSettings, double, ShopSettings> With
)
{
    public double Default => Get(new());

    /// <summary>What each whole value means, from 0 on; null where the value is a figure.</summary>
    public IReadOnlyList<string>? Choices { get; init; }

    /// <summary>Whether a value can be; whole numbers for what is counted.</summary>
    public bool Allows(double value) =>
        value >= Least
        && value <= Most
        && (Choices is null || value == Math.Round(value))
        && (Unit is not ("months" or "s" or "days" or "pieces") || value == Math.Round(value));
}

/// <summary>Every working default of the shop, by key.</summary>
public static class ShopSettingList
{
    public static IReadOnlyList<ShopSetting> All { get; } =
    [
        new(
            "minClearanceMm",
            ShopSettingListWords.MinClearHeightOverParts,
            "Match",
            "mm",
            0,
            5,
            ShopSettingListWords.PartsStandUpToFewTenths,
            s => s.MinClearanceMm,
            (s, v) => s with { MinClearanceMm = v }
        ),
        new(
            "coolantInC",
            ShopSettingListWords.CoolantAtBlocksInlet,
            "Heat",
            "°C",
            5,
            60,
            ShopSettingListWords.TakenWhereNothingWasMeasured,
            s => s.CoolantInC,
            (s, v) => s with { CoolantInC = v }
        ),
        new(
            "flowLPerMin",
            "flow through a block",
            "Heat",
            "L/min",
            0.2,
            20,
            ShopSettingListWords.TakenWhereNothingWasMeasuredPast,
            s => s.FlowLPerMin,
            (s, v) => s with { FlowLPerMin = v }
        ),
        new(
            "pumpHeadKPa",
            ShopSettingListWords.PressureOfPumpAtNoFlow,
            "Flow",
            "kPa",
            1,
            300,
            ShopSettingListWords.OfShopsTestPump,
            s => s.PumpHeadKPa,
            (s, v) => s with { PumpHeadKPa = v }
        ),
        new(
            "pumpFreeLMin",
            ShopSettingListWords.FlowOfPumpAtNoPressure,
            "Flow",
            "L/min",
            0.5,
            100,
            ShopSettingListWords.OfShopsTestPump,
            s => s.PumpFreeLMin,
            (s, v) => s with { PumpFreeLMin = v }
        ),
        new(
            "loopRestKPa",
            ShopSettingListWords.WhatHosesFittingsAndRadiatorTake,
            "Flow",
            "kPa",
            0,
            200,
            ShopSettingListWords.OfShopsTestLoop,
            s => s.LoopRestKPa,
            (s, v) => s with { LoopRestKPa = v }
        ),
        new(
            "hoseM",
            ShopSettingListWords.HoseOfUsualLoop,
            "Flow",
            "m",
            0,
            20,
            ShopSettingListWords.WithBoreItSaysWhatHose,
            s => s.HoseM,
            (s, v) => s with { HoseM = v }
        ),
        new(
            "hoseInnerMm",
            ShopSettingListWords.BoreOfHose,
            "Flow",
            "mm",
            3,
            25,
            ShopSettingListWords.MarkedInnerDiameter,
            s => s.HoseInnerMm,
            (s, v) => s with { HoseInnerMm = v }
        ),
        new(
            "reservoirMl",
            ShopSettingListWords.WhatReservoirHolds,
            "Flow",
            "mL",
            0,
            5000,
            ShopSettingListWords.WeighedFullAndEmptyOnce,
            s => s.ReservoirMl,
            (s, v) => s with { ReservoirMl = v }
        ),
        new(
            "radiatorMl",
            ShopSettingListWords.WhatRadiatorHolds,
            "Flow",
            "mL",
            0,
            5000,
            ShopSettingListWords.WeighedFullAndEmptyOnce,
            s => s.RadiatorMl,
            (s, v) => s with { RadiatorMl = v }
        ),
        new(
            "removerWaitS",
            ShopSettingListWords.WaitOfRemover,
            "Prep",
            "s",
            0,
            3600,
            ShopSettingListWords.WhereDrawerStatesNone,
            s => s.RemoverWaitS,
            (s, v) => s with { RemoverWaitS = (int)v }
        ),
        new(
            "warmLidC",
            ShopSettingListWords.WhatLidIsWarmed,
            "Prep",
            "°C",
            30,
            110,
            ShopSettingListWords.WhereJigStatesNothing,
            s => s.WarmLidC,
            (s, v) => s with { WarmLidC = v }
        ),
        new(
            "roomC",
            ShopSettingListWords.AirAtBench,
            "Prep",
            "°C",
            0,
            45,
            ShopSettingListWords.WhatLidCoolsDown,
            s => s.RoomC,
            (s, v) => s with { RoomC = v }
        ),
        new(
            "solderSoakS",
            ShopSettingListWords.SoakOfGalliumAlloyIntoSolder,
            "Prep",
            "s",
            60,
            14_400,
            ShopSettingListWords.TwentyMinutesTakeMost,
            s => s.SolderSoakS,
            (s, v) => s with { SolderSoakS = (int)v }
        ),
        new(
            "coatDryS",
            ShopSettingListWords.DryingOfCoatOverBareParts,
            "Prep",
            "s",
            60,
            86_400,
            ShopSettingListWords.DryToTouchIsNotDry,
            s => s.CoatDryS,
            (s, v) => s with { CoatDryS = (int)v }
        ),
        new(
            "pasteMargin",
            ShopSettingListWords.PasteOverBareFilm,
            "Paste",
            "share",
            0,
            3,
            ShopSettingListWords.WhatRimTakes,
            s => s.PasteMargin,
            (s, v) => s with { PasteMargin = v }
        ),
        new(
            "beadMm",
            ShopSettingListWords.BeadThatHandDraws,
            "Paste",
            "mm",
            0.3,
            6,
            ShopSettingListWords.OfSyringeWithUsualTip,
            s => s.BeadMm,
            (s, v) => s with { BeadMm = v }
        ),
        new(
            "loggerW",
            ShopSettingListWords.WhatLoggerItselfCosts,
            "Prove",
            "W",
            0,
            100,
            ShopSettingListWords.ProgramThatReadsSensorsKeepsCard,
            s => s.LoggerW,
            (s, v) => s with { LoggerW = v }
        ),
        new(
            "repasteCapMonths",
            ShopSettingListWords.LongestTimeBetweenPastings,
            "Care",
            "months",
            1,
            120,
            ShopSettingListWords.WhateverDataSheetStates,
            s => s.RepasteCapMonths,
            (s, v) => s with { RepasteCapMonths = (int)v }
        ),
        new(
            "dayFromH",
            "shop opens",
            "Day",
            "h",
            0,
            20,
            ShopSettingListWords.DayIsPlannedFromThen,
            s => s.DayFromH,
            (s, v) => s with { DayFromH = v }
        ),
        new(
            "dayToH",
            "shop closes",
            "Day",
            "h",
            1,
            24,
            ShopSettingListWords.WorkGoesOnNextDay,
            s => s.DayToH,
            (s, v) => s with { DayToH = v }
        ),
        new(
            "daysAWeek",
            ShopSettingListWords.DaysOfWorkInWeek,
            "Day",
            "days",
            1,
            7,
            "From Monday on.",
            s => s.DaysAWeek,
            (s, v) => s with { DaysAWeek = (int)v }
        ),
        new(
            "jigs",
            "jigs for lids",
            "Day",
            "pieces",
            1,
            20,
            ShopSettingListWords.TwoLidsAreNotSheared,
            s => s.Jigs,
            (s, v) => s with { Jigs = (int)v }
        ),
        new(
            "torqueDrivers",
            "torque drivers",
            "Day",
            "pieces",
            1,
            20,
            ShopSettingListWords.ScrewsAreTurned,
            s => s.TorqueDrivers,
            (s, v) => s with { TorqueDrivers = (int)v }
        ),
        new(
            "gauges",
            "pressure gauges",
            "Day",
            "pieces",
            1,
            20,
            ShopSettingListWords.LoopUnderTestKeeps,
            s => s.Gauges,
            (s, v) => s with { Gauges = (int)v }
        ),
        new(
            "serveNetwork",
            ShopSettingListWords.ServeShopsNetworkFromNextStart,
            "Network",
            "",
            0,
            1,
            ShopSettingListWords.OverHTTPSEachTabletLet,
            s => s.ServeNetwork ? 1 : 0,
            (s, v) => s with { ServeNetwork = v > 0 }
        )
        {
            Choices = ["no", "yes"],
        },
        new(
            "springBack",
            ShopSettingListWords.SquashThatSpringsBack,
            "Pads",
            "share",
            0,
            0.6,
            ShopSettingListWords.PressedPadIsMeasuredAfter,
            s => s.SpringBack,
            (s, v) => s with { SpringBack = v }
        ),
        new(
            "tiltLimitDeg",
            "tilt while tightening",
            "Mount",
            "°",
            0.02,
            3,
            ShopSettingListWords.MoreLiftsCornerOfDieOff,
            s => s.TiltLimitDeg,
            (s, v) => s with { TiltLimitDeg = v }
        ),
        new(
            "strainWatchShare",
            ShopSettingListWords.StrainBesidePackagesToWatch,
            "Mount",
            "share",
            0.1,
            1,
            ShopSettingListWords.OfWhatJointsTakeForMoment,
            s => s.StrainWatchShare,
            (s, v) => s with { StrainWatchShare = v }
        ),
        new(
            "strainRiskShare",
            ShopSettingListWords.StrainBesidePackagesThatIsRisk,
            "Mount",
            "share",
            0.2,
            1.5,
            ShopSettingListWords.OfWhatJointsTakeForMomentPast,
            s => s.StrainRiskShare,
            (s, v) => s with { StrainRiskShare = v }
        ),
        new(
            "stripBridgeShare",
            ShopSettingListWords.StripBetweenTwoParts,
            "Pads",
            "share",
            0,
            1,
            ShopSettingListWords.OfPadsStressOverPart,
            s => s.StripBridgeShare,
            (s, v) => s with { StripBridgeShare = v }
        ),
        new(
            "leakHoldS",
            ShopSettingListWords.HoldOfLeakTest,
            "Prove",
            "s",
            60,
            86400,
            ShopSettingListWords.ShorterWeepingJointHidesInWarming,
            s => s.LeakHoldS,
            (s, v) => s with { LeakHoldS = (int)v }
        ),
        new(
            "driftLimitShare",
            ShopSettingListWords.DriftUntilPasteIsDue,
            "Care",
            "share",
            0.02,
            1,
            ShopSettingListWords.FromThereOnLossIsFelt,
            s => s.DriftLimitShare,
            (s, v) => s with { DriftLimitShare = v }
        ),
        new(
            "priceFitting",
            "a fitting, price",
            "Prices",
            "money a piece",
            0,
            1000,
            ShopSettingListWords.OfShopsOwnSupplier,
            s => s.Prices.Fitting,
            (s, v) => s with { Prices = s.Prices with { Fitting = v } }
        ),
        new(
            "pricePlug",
            "a port plug, price",
            "Prices",
            "money a piece",
            0,
            1000,
            ShopSettingListWords.OfShopsOwnSupplier,
            s => s.Prices.Plug,
            (s, v) => s with { Prices = s.Prices with { Plug = v } }
        ),
        new(
            "pricePadCm2",
            ShopSettingListWords.SquareCentimetreOfPadPrice,
            "Prices",
            "money a cm²",
            0,
            100,
            ShopSettingListWords.OfShopsOwnSupplier,
            s => s.Prices.PadCm2,
            (s, v) => s with { Prices = s.Prices with { PadCm2 = v } }
        ),
        new(
            "pricePasteGram",
            ShopSettingListWords.GramOfPastePrice,
            "Prices",
            "money a g",
            0,
            1000,
            ShopSettingListWords.OfShopsOwnSupplier,
            s => s.Prices.PasteGram,
            (s, v) => s with { Prices = s.Prices with { PasteGram = v } }
        ),
        new(
            "priceSocketKit",
            "a socket kit, price",
            "Prices",
            "money a piece",
            0,
            1000,
            ShopSettingListWords.OfShopsOwnSupplier,
            s => s.Prices.SocketKit,
            (s, v) => s with { Prices = s.Prices with { SocketKit = v } }
        ),
        new(
            "squashLeast",
            ShopSettingListWords.MinSquashOfPad,
            "Pads",
            "share",
            0,
            0.25,
            ShopSettingListWords.OnTopOfWhatMakerAsks,
            s => s.SquashLeast,
            (s, v) => s with { SquashLeast = v }
        ),
        new(
            "squashMost",
            ShopSettingListWords.MaxSquashOfPad,
            "Pads",
            "share",
            0.3,
            1,
            ShopSettingListWords.HoweverMuchMakerAllows,
            s => s.SquashMost,
            (s, v) => s with { SquashMost = v }
        ),
        new(
            "padFaceMm2KPerW",
            ShopSettingListWords.ResistanceOfPadsFace,
            "Pads",
            "mm²·K/W",
            0,
            200,
            ShopSettingListWords.WhereDrawerStatesNoneWhatFace,
            s => s.PadFaceMm2KPerW,
            (s, v) => s with { PadFaceMm2KPerW = v }
        ),
        new(
            "padClaimShare",
            ShopSettingListWords.ShareOfClaimedConductivity,
            "Pads",
            "share",
            0.2,
            1,
            ShopSettingListWords.WhereNothingWasMeasured,
            s => s.PadClaimShare,
            (s, v) => s with { PadClaimShare = v }
        ),
        new(
            "seatingPasses",
            ShopSettingListWords.ChanceFromWhichMeasuredBoardSeats,
            "Match",
            "share",
            0.5,
            0.9999,
            ShopSettingListWords.PositionsOfTracedBoardAreKnown,
            s => s.SeatingPasses,
            (s, v) => s with { SeatingPasses = v }
        ),
        new(
            "seatingFails",
            ShopSettingListWords.ChanceBelowWhichMeasuredBoardClashes,
            "Match",
            "share",
            0.0001,
            0.4,
            ShopSettingListWords.BetweenTwoItIsUnproven,
            s => s.SeatingFails,
            (s, v) => s with { SeatingFails = v }
        ),
        new(
            "settledWithinK",
            ShopSettingListWords.LogHasSettledWithin,
            "Prove",
            "K",
            0.1,
            5,
            ShopSettingListWords.OfWhereItEnds,
            s => s.SettledWithinK,
            (s, v) => s with { SettledWithinK = v }
        ),
        new(
            "loadMargin",
            ShopSettingListWords.HoldDownLoadKeptClear,
            "Mount",
            "share",
            0,
            0.4,
            ShopSettingListWords.SpringsAndDocumentsVary,
            s => s.LoadMargin,
            (s, v) => s with { LoadMargin = v }
        ),
        new(
            "faultNothing",
            "nothing wrong",
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.OfHundredCardsThatReadOdd,
            s => s.Faults.Nothing,
            (s, v) => s with { Faults = s.Faults with { Nothing = v } }
        ),
        new(
            "faultFilmLeft",
            ShopSettingListWords.FilmLeftOnPad,
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.CommonestSlipOneFaceOfPad,
            s => s.Faults.FilmLeft,
            (s, v) => s with { Faults = s.Faults with { FilmLeft = v } }
        ),
        new(
            "faultPadMissing",
            "pad missing",
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.OverAllPlacesTogether,
            s => s.Faults.PadMissing,
            (s, v) => s with { Faults = s.Faults with { PadMissing = v } }
        ),
        new(
            "faultPadThin",
            "pad too thin",
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.TwoThicknessesLookAlikeInHand,
            s => s.Faults.PadThin,
            (s, v) => s with { Faults = s.Faults with { PadThin = v } }
        ),
        new(
            "faultPasteVoid",
            "paste void",
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.CornerOfDieLeftBare,
            s => s.Faults.PasteVoid,
            (s, v) => s with { Faults = s.Faults with { PasteVoid = v } }
        ),
        new(
            "faultTilt",
            "plate tilted",
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.OneCornerStandsHigh,
            s => s.Faults.Tilt,
            (s, v) => s with { Faults = s.Faults with { Tilt = v } }
        ),
        new(
            "faultFloats",
            "block floats",
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.SomethingHoldsBlockOffDie,
            s => s.Faults.Floats,
            (s, v) => s with { Faults = s.Faults with { Floats = v } }
        ),
        new(
            "faultLowFlow",
            ShopSettingListWords.FlowLowerThanBelieved,
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.KinkFilterSlowPump,
            s => s.Faults.LowFlow,
            (s, v) => s with { Faults = s.Faults with { LowFlow = v } }
        ),
        new(
            "faultAir",
            ShopSettingListWords.AirInFins,
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.OfLoopThatWasFilledLately,
            s => s.Faults.Air,
            (s, v) => s with { Faults = s.Faults with { Air = v } }
        ),
        new(
            "faultPumpedOut",
            "paste pumped out",
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.OfCardThatRanWarm,
            s => s.Faults.PumpedOut,
            (s, v) => s with { Faults = s.Faults with { PumpedOut = v } }
        ),
        new(
            "faultMisread",
            ShopSettingListWords.SensorOrPowerMisread,
            ShopSettingListWords.FaultsHowOftenMet,
            "weight",
            0.0001,
            1,
            ShopSettingListWords.LoggerCanBeWrongToo,
            s => s.Faults.Misread,
            (s, v) => s with { Faults = s.Faults with { Misread = v } }
        ),
        new(
            "currency",
            ShopSettingListWords.CurrencyOfShopsOwnPrices,
            "Prices",
            "",
            0,
            KitPrices.Currencies.Count - 1,
            ShopSettingListWords.NamesMoneyPricesAreNotConverted,
            s => KitPrices.Currencies.ToList().IndexOf(s.Prices.Currency),
            (s, v) => s with { Prices = s.Prices with { Currency = KitPrices.Currencies[(int)v] } }
        )
        {
            Choices = KitPrices.Currencies,
        },
        new(
            "decimalMark",
            ShopSettingListWords.DecimalMarkOfFigures,
            "Figures",
            "",
            0,
            1,
            ShopSettingListWords.AsShopsClientsReadThem,
            s => s.Figures.Comma ? 1 : 0,
            (s, v) => s with { Figures = s.Figures with { Comma = v > 0 } }
        )
        {
            Choices = ["point", "comma"],
        },
        new(
            "inches",
            "inches beside millimetres",
            "Figures",
            "",
            0,
            1,
            ShopSettingListWords.ForWhoThinksInThem,
            s => s.Figures.Inches ? 1 : 0,
            (s, v) => s with { Figures = s.Figures with { Inches = v > 0 } }
        )
        {
            Choices = ["none", "beside"],
        },
    ];

    /// <summary>Names a block's claim among the settings.</summary>
    public const string ClaimPrefix = "claim:";

    /// <summary>A claim is multiplied by no less and no more: beyond it something else is wrong.</summary>
    public const double MinClaim = 0.3,
        MaxClaim = 5;

    /// <summary>The settings with what was changed; an unknown key or a value that cannot be is left out.</summary>
    public static ShopSettings With(IEnumerable<KeyValuePair<string, double>> changed)
    {
        var all = changed.ToList();
        var settings = all.Aggregate(
            new ShopSettings(),
            (s, c) =>
                All.FirstOrDefault(x => x.Key == c.Key) is { } known && known.Allows(c.Value)
                    ? known.With(s, c.Value)
                    : s
        );
        var claims = all.Where(c =>
                c.Key.StartsWith(ClaimPrefix, StringComparison.Ordinal) && c.Value is >= MinClaim and <= MaxClaim
            )
            .ToDictionary(c => c.Key[ClaimPrefix.Length..], c => c.Value);
        return claims.Count == 0 ? settings : settings with { Claims = claims };
    }
}
