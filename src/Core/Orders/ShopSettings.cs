namespace FaithfulBracket.Core.Orders;

/// <summary>Working defaults of the shop; each can be set.</summary>
public sealed record ShopSettings
{
    /// <summary>Extra paste over the bare film, as a share.</summary>
    public double PasteMargin { get; init; } = 0.4;

    /// <summary>Bead diameter a hand draws, mm.</summary>
    public double BeadMm { get; init; } = 1.5;

    /// <summary>Least clear height over parts, mm.</summary>
    public double MinClearanceMm { get; init; } = 0.3;

    /// <summary>Wait of the remover when the drawer states none, s.</summary>
    public int RemoverWaitS { get; init; } = 60;

    /// <summary>What a lid is warmed to before it is taken off, where the jig states nothing, °C.</summary>
    public double WarmLidC { get; init; } = 65;

    /// <summary>The bench's air, °C.</summary>
    public double RoomC { get; init; } = 22;

    /// <summary>How long gallium alloy soaks into solder, s.</summary>
    public int SolderSoakS { get; init; } = 1200;

    /// <summary>How long a coat over bare parts dries, s.</summary>
    public int CoatDryS { get; init; } = 1800;

    /// <summary>Coolant at the block's inlet where none is measured, °C.</summary>
    public double CoolantInC { get; init; } = 30;

    /// <summary>Flow that a block's curve is read at where none is measured, L/min.</summary>
    public double FlowLPerMin { get; init; } = 3;

    /// <summary>Pressure of the shop's test pump at no flow, kPa, and its flow at no pressure, L/min.</summary>
    public double PumpHeadKPa { get; init; } = 45;
    public double PumpFreeLMin { get; init; } = 15;

    /// <summary>What hoses, fittings and radiator take at 4 L/min, kPa.</summary>
    public double LoopRestKPa { get; init; } = 12;

    /// <summary>What a logger keeps the card busy with, W: taken off the power that was read.</summary>
    public double LoggerW { get; init; }

    /// <summary>Longest time between pastings, months.</summary>
    public int RepasteCapMonths { get; init; } = 24;

    /// <summary>Hours at which the shop opens and closes, by its own clock.</summary>
    public double DayFromH { get; init; } = 8;
    public double DayToH { get; init; } = 18;

    /// <summary>Days of work in a week, from Monday.</summary>
    public int DaysAWeek { get; init; } = 5;

    /// <summary>How many of each the shop has.</summary>
    public int Jigs { get; init; } = 1;
    public int TorqueDrivers { get; init; } = 2;
    public int Gauges { get; init; } = 1;

    /// <summary>Whether the shop's network is served, from the next start on.</summary>
    public bool ServeNetwork { get; init; }

    /// <summary>
    /// Blocks that are calculated by the shop's own jobs: what the maker's claim is multiplied by, by the block's id.
    /// </summary>
    public IReadOnlyDictionary<string, double> Claims { get; init; } = NoClaims;

    private static readonly IReadOnlyDictionary<string, double> NoClaims = new Dictionary<string, double>();

    /// <summary>Share of a pad's squash that springs back before it is measured.</summary>
    public double SpringBack { get; init; } = 0.1;

    /// <summary>Least and most squash the shop accepts, whatever a pad's maker allows, 0 to 1.</summary>
    public double SquashLeast { get; init; }
    public double SquashMost { get; init; } = 1;

    /// <summary>Resistance of a pad's face where nobody states it, mm²·K/W.</summary>
    public double PadFaceMm2KPerW { get; init; } = 10;

    /// <summary>
    /// What of a pad maker's claimed conductivity is calculated with where nothing was measured, as a share.
    /// </summary>
    public double PadClaimShare { get; init; } = 1;

    /// <summary>A measured board seats from this chance on, and clashes below the other.</summary>
    public double SeatingPasses { get; init; } = 0.95;
    public double SeatingFails { get; init; } = 0.05;

    /// <summary>A log has settled when it stays within this of where it ends, K.</summary>
    public double SettledWithinK { get; init; } = 0.5;

    /// <summary>How far hold-down loads keep away from what dies and sockets are stated to bear, as a share.</summary>
    public double LoadMargin { get; init; }

    /// <summary>How often each fault is met.</summary>
    public FaultShares Faults { get; init; } = new();

    /// <summary>How figures are written.</summary>
    public FigureStyle Figures { get; init; } = new();

    /// <summary>How far a board may tilt while it is tightened, degrees.</summary>
    public double TiltLimitDeg { get; init; } = 0.5;

    /// <summary>
    /// Shares of what joints take while screws are turned, from which a strain that stays is watched, and a risk.
    /// </summary>
    public double StrainWatchShare { get; init; } = 0.5;
    public double StrainRiskShare { get; init; } = 1;

    /// <summary>What of a pad's stress a strip still has between two parts, where nothing presses it from below.</summary>
    public double StripBridgeShare { get; init; } = Pads.Seating.StackUp.DefaultBridgeShare;

    /// <summary>Hose of the shop's usual loop, m, and its bore, mm.</summary>
    public double HoseM { get; init; } = 1.5;
    public double HoseInnerMm { get; init; } = 10;

    /// <summary>What reservoir and radiator of the usual loop hold, mL.</summary>
    public double ReservoirMl { get; init; } = 150;
    public double RadiatorMl { get; init; } = 150;

    /// <summary>How long a leak test holds, s.</summary>
    public int LeakHoldS { get; init; } = 900;

    /// <summary>How far the resistance may drift before the paste is due, as a share.</summary>
    public double DriftLimitShare { get; init; } = 0.15;

    /// <summary>What the shop pays for what a kit does not hold.</summary>
    public KitPrices Prices { get; init; } = new();
}
