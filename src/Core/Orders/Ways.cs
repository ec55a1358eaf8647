namespace FaithfulBracket.Core.Orders;

public enum Cleaning
{
    /// <summary>Remover where old paste is, alcohol after it and on everything else.</summary>
    RemoverOnPaste,
    Alcohol,
    Remover,
}

public enum PadCutting
{
    Each,
    Strips,
}

public enum PadFilms
{
    /// <summary>The outer film comes off last, right before something closes over the pad.</summary>
    OuterLast,
    Both,
}

public enum PadsOn
{
    ByTack,
    Board,
    Block,
}

public enum PasteWay
{
    Spread,
    Cross,
    Line,
    Dot,

    /// <summary>A thin film on both faces: liquid metal only.</summary>
    Film,
}

public enum WhoMoves
{
    Board,
    Block,
}

public enum Increments
{
    Simulated,
    Quarter,
    Two,
    Home,
}

public enum Tightness
{
    Stop,
    Grip,
}

public enum Pressing
{
    None,
    Light,
}

/// <summary>When a block's own back plate goes on, and its screws with it.</summary>
public enum BackPlateScrews
{
    /// <summary>Its screws stay out until every other one is home.</summary>
    Out,

    /// <summary>All are in at first; those that it needs come out again for it.</summary>
    All,

    /// <summary>It lies behind the board before any screw.</summary>
    First,
}

public enum Loosening
{
    /// <summary>The screws round the die after all others of the same cooler.</summary>
    RingLast,

    /// <summary>The screws round the die first, then outward.</summary>
    CoreOutward,
}

public enum RibbonBetween
{
    /// <summary>The ribbon between two boards is unplugged before they are parted.</summary>
    Unplug,

    /// <summary>It stays plugged where it is long enough; the boards are opened like a book.</summary>
    Stay,
}

public enum ImprintCheck
{
    NoLift,
    Lift,
}

public enum StockPads
{
    Replace,
    Reuse,
}

public enum ProcessorAndClamp
{
    ProcessorFirst,
    ClampOff,
}

public enum WarmLid
{
    Warm,
    Cold,
}

public enum Polish
{
    No,
    Yes,
}

public enum NutsBy
{
    Thumb,

    /// <summary>Two opposite nuts at once, one in each hand.</summary>
    TwoThumbs,
    Driver,
}

public enum Closing
{
    Block,

    /// <summary>The mainboard goes back on its tray and the memory into its slots.</summary>
    Tray,
}

public enum ModulesIn
{
    /// <summary>Each pressed into its slot, the block bolted over them there.</summary>
    First,

    /// <summary>The block bolted over them on the bench, all pressed in at once.</summary>
    WithBlock,
}

public enum LoopJoin
{
    Series,
    Parallel,
}

/// <summary>What somebody chose where installers disagree; the defaults are those of the trade.</summary>
public sealed record Ways
{
    public Cleaning Cleaning { get; init; }
    public PadCutting Cut { get; init; }
    public PadsOn PadsOn { get; init; }
    public PadFilms Films { get; init; }

    /// <summary>On bare silicon.</summary>
    public PasteWay PasteDie { get; init; } = PasteWay.Spread;

    /// <summary>On a lid.</summary>
    public PasteWay PasteLid { get; init; } = PasteWay.Cross;
    public WhoMoves WhoMoves { get; init; }
    public Increments Increments { get; init; }
    public Tightness Tightness { get; init; }
    public Pressing Pressing { get; init; }
    public BackPlateScrews BackPlateScrews { get; init; }

    /// <summary>
    /// Whether a back plate lies behind the board before any screw: only where the board is lowered, so that its back is up.
    /// </summary>
    public bool PlateFirst => BackPlateScrews == BackPlateScrews.First && WhoMoves == WhoMoves.Board;

    /// <summary>Whether a back plate's screws go in with the others.</summary>
    public bool AllScrewsIn => PlateFirst || BackPlateScrews == BackPlateScrews.All;
    public Loosening Loosening { get; init; }
    public RibbonBetween Ribbon { get; init; }
    public ImprintCheck Imprint { get; init; }
    public StockPads StockPads { get; init; }
    public ProcessorAndClamp Clamp { get; init; }
    public WarmLid WarmLid { get; init; }
    public Polish Polish { get; init; }
    public NutsBy NutsBy { get; init; }
    public Closing Closing { get; init; }
    public ModulesIn ModulesIn { get; init; }

    /// <summary>How several blocks of one loop follow each other.</summary>
    public LoopJoin Loop { get; init; }

    /// <summary>The choices by question, over the defaults for this order; what no question knows any more is left out.</summary>
    public static Ways From(WorkOrder order, IReadOnlyDictionary<string, string> chosen)
    {
        var ways = new Ways
        {
            WhoMoves = Schools.Mover(order),
            Loop = Schools.LoopOf(order),
            Cut = Schools.CutOf(order),
        };
        foreach (var school in Schools.For(order))
            if (chosen.TryGetValue(school.Id, out var id) && school.Ways.FirstOrDefault(w => w.Id == id) is { } way)
                ways = way.Take(ways);
        return ways;
    }
}
