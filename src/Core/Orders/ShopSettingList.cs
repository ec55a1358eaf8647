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
            "least clear height over parts",
            "Match",
            "mm",
            0,
            5,
            "Parts stand up to a few tenths higher than drawn; less than this is a margin nobody should rely on.",
            s => s.MinClearanceMm,
            (s, v) => s with { MinClearanceMm = v }
        ),
        new(
            "coolantInC",
            "coolant at the block's inlet",
            "Heat",
            "°C",
            5,
            60,
            "Taken where nothing was measured: a radiator of fair size in a room of 22 °C.",
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
            "Taken where nothing was measured: past it a block gains little.",
            s => s.FlowLPerMin,
            (s, v) => s with { FlowLPerMin = v }
        ),
        new(
            "pumpHeadKPa",
            "pressure of the pump at no flow",
            "Flow",
            "kPa",
            1,
            300,
            "Of the shop's test pump.",
            s => s.PumpHeadKPa,
            (s, v) => s with { PumpHeadKPa = v }
        ),
        new(
            "pumpFreeLMin",
            "flow of the pump at no pressure",
            "Flow",
            "L/min",
            0.5,
            100,
            "Of the shop's test pump.",
            s => s.PumpFreeLMin,
            (s, v) => s with { PumpFreeLMin = v }
        ),
        new(
            "loopRestKPa",
            "what hoses, fittings and radiator take at 4 L/min",
            "Flow",
            "kPa",
            0,
            200,
            "Of the shop's test loop; it grows with the square of the flow.",
            s => s.LoopRestKPa,
            (s, v) => s with { LoopRestKPa = v }
        ),
        new(
            "hoseM",
            "hose of the usual loop",
            "Flow",
            "m",
            0,
            20,
            "With its bore it says what the hose holds.",
            s => s.HoseM,
            (s, v) => s with { HoseM = v }
        ),
        new(
            "hoseInnerMm",
            "bore of the hose",
            "Flow",
            "mm",
            3,
            25,
            "The marked inner diameter.",
            s => s.HoseInnerMm,
            (s, v) => s with { HoseInnerMm = v }
        ),
        new(
            "reservoirMl",
            "what the reservoir holds",
            "Flow",
            "mL",
            0,
            5000,
            "Weighed full and empty once: a gram is a millilitre of water.",
            s => s.ReservoirMl,
            (s, v) => s with { ReservoirMl = v }
        ),
        new(
            "radiatorMl",
            "what the radiator holds",
            "Flow",
            "mL",
            0,
            5000,
            "Weighed full and empty once: a gram is a millilitre of water.",
            s => s.RadiatorMl,
            (s, v) => s with { RadiatorMl = v }
        ),
        new(
            "removerWaitS",
            "wait of the remover",
            "Prep",
            "s",
            0,
            3600,
            "Where the drawer states none.",
            s => s.RemoverWaitS,
            (s, v) => s with { RemoverWaitS = (int)v }
        ),
        new(
            "warmLidC",
            "what a lid is warmed to",
            "Prep",
            "°C",
            30,
            110,
            "Where the jig states nothing: sealant gives way, nothing else does.",
            s => s.WarmLidC,
            (s, v) => s with { WarmLidC = v }
        ),
        new(
            "roomC",
            "air at the bench",
            "Prep",
            "°C",
            0,
            45,
            "What a lid cools down to, and warms up from.",
            s => s.RoomC,
            (s, v) => s with { RoomC = v }
        ),
        new(
            "solderSoakS",
            "soak of gallium alloy into solder",
            "Prep",
            "s",
            60,
            14_400,
            "Twenty minutes take most of it; the rest is wiped.",
            s => s.SolderSoakS,
            (s, v) => s with { SolderSoakS = (int)v }
        ),
        new(
            "coatDryS",
            "drying of a coat over bare parts",
            "Prep",
            "s",
            60,
            86_400,
            "Dry to the touch is not dry under alloy.",
            s => s.CoatDryS,
            (s, v) => s with { CoatDryS = (int)v }
        ),
        new(
            "pasteMargin",
            "paste over the bare film",
            "Paste",
            "share",
            0,
            3,
            "What the rim takes; a little too much does no harm.",
            s => s.PasteMargin,
            (s, v) => s with { PasteMargin = v }
        ),
        new(
            "beadMm",
            "bead that a hand draws",
            "Paste",
            "mm",
            0.3,
            6,
            "Of a syringe with its usual tip.",
            s => s.BeadMm,
            (s, v) => s with { BeadMm = v }
        ),
        new(
            "loggerW",
            "what the logger itself costs",
            "Prove",
            "W",
            0,
            100,
            "A program that reads sensors keeps the card a little busy: taken off the power that was read.",
            s => s.LoggerW,
            (s, v) => s with { LoggerW = v }
        ),
        new(
            "repasteCapMonths",
            "longest time between pastings",
            "Care",
            "months",
            1,
            120,
            "However good the paste is said to be.",
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
            "The day is planned from then on; by the shop's own clock.",
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
            "Work goes on the next day from then on.",
            s => s.DayToH,
            (s, v) => s with { DayToH = v }
        ),
        new(
            "daysAWeek",
            "days of work in a week",
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
            "Two lids are not sheared in one jig.",
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
            "Screws are turned with one in hand; as many benches can mount at once.",
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
            "A loop under test keeps one to itself.",
            s => s.Gauges,
            (s, v) => s with { Gauges = (int)v }
        ),
        new(
            "serveNetwork",
            "serve the shop's network, from the next start on",
            "Network",
            "",
            0,
            1,
            "Over HTTPS, each tablet let in by a code; else only this machine is answered.",
            s => s.ServeNetwork ? 1 : 0,
            (s, v) => s with { ServeNetwork = v > 0 }
        )
        {
            Choices = ["no", "yes"],
        },
        new(
            "springBack",
            "squash that springs back",
            "Pads",
            "share",
            0,
            0.6,
            "A pressed pad is measured after it was let go: so much of its squash comes back.",
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
            "More lifts a corner of the die off its paste.",
            s => s.TiltLimitDeg,
            (s, v) => s with { TiltLimitDeg = v }
        ),
        new(
            "strainWatchShare",
            "strain beside packages to watch",
            "Mount",
            "share",
            0.1,
            1,
            "Of what joints take for a moment: what stays for years creeps, and half of it is held to be safe for good.",
            s => s.StrainWatchShare,
            (s, v) => s with { StrainWatchShare = v }
        ),
        new(
            "strainRiskShare",
            "strain beside packages that is a risk",
            "Mount",
            "share",
            0.2,
            1.5,
            "Of what joints take for a moment: past the whole of it they can crack while the screws are turned.",
            s => s.StrainRiskShare,
            (s, v) => s with { StrainRiskShare = v }
        ),
        new(
            "stripBridgeShare",
            "strip between two parts",
            "Pads",
            "share",
            0,
            1,
            "Of the pad's stress over a part: between parts nothing presses a strip from below, it only holds itself.",
            s => s.StripBridgeShare,
            (s, v) => s with { StripBridgeShare = v }
        ),
        new(
            "leakHoldS",
            "hold of a leak test",
            "Prove",
            "s",
            60,
            86400,
            "Shorter, a weeping joint hides in the warming of the air.",
            s => s.LeakHoldS,
            (s, v) => s with { LeakHoldS = (int)v }
        ),
        new(
            "driftLimitShare",
            "drift until the paste is due",
            "Care",
            "share",
            0.02,
            1,
            "From there on the loss is felt in noise and clocks.",
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
            "Of the shop's own supplier.",
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
            "Of the shop's own supplier.",
            s => s.Prices.Plug,
            (s, v) => s with { Prices = s.Prices with { Plug = v } }
        ),
        new(
            "pricePadCm2",
            "a square centimetre of pad, price",
            "Prices",
            "money a cm²",
            0,
            100,
            "Of the shop's own supplier.",
            s => s.Prices.PadCm2,
            (s, v) => s with { Prices = s.Prices with { PadCm2 = v } }
        ),
        new(
            "pricePasteGram",
            "a gram of paste, price",
            "Prices",
            "money a g",
            0,
            1000,
            "Of the shop's own supplier.",
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
            "Of the shop's own supplier.",
            s => s.Prices.SocketKit,
            (s, v) => s with { Prices = s.Prices with { SocketKit = v } }
        ),
        new(
            "squashLeast",
            "least squash of a pad",
            "Pads",
            "share",
            0,
            0.25,
            "On top of what its maker asks for: 0 leaves that as it is.",
            s => s.SquashLeast,
            (s, v) => s with { SquashLeast = v }
        ),
        new(
            "squashMost",
            "most squash of a pad",
            "Pads",
            "share",
            0.3,
            1,
            "However much its maker allows: 1 leaves that as it is.",
            s => s.SquashMost,
            (s, v) => s with { SquashMost = v }
        ),
        new(
            "padFaceMm2KPerW",
            "resistance of a pad's face",
            "Pads",
            "mm²·K/W",
            0,
            200,
            "Where the drawer states none: what a face costs that is pressed, not glued.",
            s => s.PadFaceMm2KPerW,
            (s, v) => s with { PadFaceMm2KPerW = v }
        ),
        new(
            "padClaimShare",
            "share of a claimed conductivity that is reckoned with",
            "Pads",
            "share",
            0.2,
            1,
            "Where nothing was measured: makers measure without the faces.",
            s => s.PadClaimShare,
            (s, v) => s with { PadClaimShare = v }
        ),
        new(
            "seatingPasses",
            "chance from which a measured board seats",
            "Match",
            "share",
            0.5,
            0.9999,
            "Positions of a traced board are known to a few tenths: below this it is measured first.",
            s => s.SeatingPasses,
            (s, v) => s with { SeatingPasses = v }
        ),
        new(
            "seatingFails",
            "chance below which a measured board clashes",
            "Match",
            "share",
            0.0001,
            0.4,
            "Between the two it is unproven.",
            s => s.SeatingFails,
            (s, v) => s with { SeatingFails = v }
        ),
        new(
            "settledWithinK",
            "a log has settled within",
            "Prove",
            "K",
            0.1,
            5,
            "Of where it ends; a reading from a log is taken from there on.",
            s => s.SettledWithinK,
            (s, v) => s with { SettledWithinK = v }
        ),
        new(
            "loadMargin",
            "hold-down load kept clear of its limits",
            "Mount",
            "share",
            0,
            0.4,
            "Springs and documents vary: limits of dies and socket contacts are taken, and shown, narrower by this share.",
            s => s.LoadMargin,
            (s, v) => s with { LoadMargin = v }
        ),
        new(
            "faultNothing",
            "nothing wrong",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "Of a hundred cards that read odd, half are well.",
            s => s.Faults.Nothing,
            (s, v) => s with { Faults = s.Faults with { Nothing = v } }
        ),
        new(
            "faultFilmLeft",
            "film left on a pad",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "The commonest slip: one face of a pad keeps its film.",
            s => s.Faults.FilmLeft,
            (s, v) => s with { Faults = s.Faults with { FilmLeft = v } }
        ),
        new(
            "faultPadMissing",
            "pad missing",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "Over all places together.",
            s => s.Faults.PadMissing,
            (s, v) => s with { Faults = s.Faults with { PadMissing = v } }
        ),
        new(
            "faultPadThin",
            "pad too thin",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "Two thicknesses look alike in the hand.",
            s => s.Faults.PadThin,
            (s, v) => s with { Faults = s.Faults with { PadThin = v } }
        ),
        new(
            "faultPasteVoid",
            "paste void",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "A corner of a die left bare.",
            s => s.Faults.PasteVoid,
            (s, v) => s with { Faults = s.Faults with { PasteVoid = v } }
        ),
        new(
            "faultTilt",
            "plate tilted",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "One corner stands high.",
            s => s.Faults.Tilt,
            (s, v) => s with { Faults = s.Faults with { Tilt = v } }
        ),
        new(
            "faultFloats",
            "block floats",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "Something holds the block off the die.",
            s => s.Faults.Floats,
            (s, v) => s with { Faults = s.Faults with { Floats = v } }
        ),
        new(
            "faultLowFlow",
            "flow lower than believed",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "A kink, a filter, a slow pump.",
            s => s.Faults.LowFlow,
            (s, v) => s with { Faults = s.Faults with { LowFlow = v } }
        ),
        new(
            "faultAir",
            "air in the fins",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "Of a loop that was filled lately.",
            s => s.Faults.Air,
            (s, v) => s with { Faults = s.Faults with { Air = v } }
        ),
        new(
            "faultPumpedOut",
            "paste pumped out",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "Of a card that ran warm and cold for long.",
            s => s.Faults.PumpedOut,
            (s, v) => s with { Faults = s.Faults with { PumpedOut = v } }
        ),
        new(
            "faultMisread",
            "sensor or power misread",
            "Faults, how often met",
            "weight",
            0.0001,
            1,
            "A logger can be wrong too.",
            s => s.Faults.Misread,
            (s, v) => s with { Faults = s.Faults with { Misread = v } }
        ),
        new(
            "currency",
            "currency of the shop's own prices",
            "Prices",
            "",
            0,
            KitPrices.Currencies.Count - 1,
            "Names the money; prices are not converted.",
            s => KitPrices.Currencies.ToList().IndexOf(s.Prices.Currency),
            (s, v) => s with { Prices = s.Prices with { Currency = KitPrices.Currencies[(int)v] } }
        )
        {
            Choices = KitPrices.Currencies,
        },
        new(
            "decimalMark",
            "decimal mark of figures",
            "Figures",
            "",
            0,
            1,
            "As the shop's clients read them. Files for other programs keep the point.",
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
            "For who thinks in them. Nothing is reckoned in inches.",
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
    public const double LeastClaim = 0.3,
        MostClaim = 5;

    /// <summary>The settings with what was changed; an unknown key or a value that can not be is left out.</summary>
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
                c.Key.StartsWith(ClaimPrefix, StringComparison.Ordinal) && c.Value is >= LeastClaim and <= MostClaim
            )
            .ToDictionary(c => c.Key[ClaimPrefix.Length..], c => c.Value);
        return claims.Count == 0 ? settings : settings with { Claims = claims };
    }
}
