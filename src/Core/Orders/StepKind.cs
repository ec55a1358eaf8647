namespace FaithfulBracket.Core.Orders;

/// <summary>What the hands or eyes do in a step.</summary>
public enum StepKind
{
    /// <summary>Read a label, a verdict or a manual.</summary>
    Read,
    Count,

    /// <summary>Run it and take readings.</summary>
    Run,
    PowerOff,
    Unscrew,
    Unplug,
    Lift,
    Clean,

    /// <summary>Make the block ready.</summary>
    Prepare,
    DryFit,
    Cut,
    Lay,
    Spread,

    /// <summary>Bring board and block together.</summary>
    Lower,

    /// <summary>Start screws loose.</summary>
    Start,
    Turn,

    /// <summary>Put a piece on: a bracket, a stock piece that comes back.</summary>
    Fit,

    /// <summary>Put the block's back plate on.</summary>
    BackPlate,

    /// <summary>Close ports.</summary>
    Plug,

    /// <summary>Plug a lead in.</summary>
    Connect,
    Look,

    /// <summary>Take a picture before it is gone.</summary>
    Photograph,
    LeakTest,

    /// <summary>Fill the loop and bleed it.</summary>
    Fill,
    Boot,
    Store,
    Note,

    /// <summary>Put screws back where they came from.</summary>
    Fasten,
    HandOver,

    /// <summary>Lay a processor into its socket.</summary>
    Seat,

    /// <summary>Warm a part through before it is opened.</summary>
    Warm,

    /// <summary>Shear a lid off in a jig.</summary>
    Shear,

    /// <summary>Take glue or solder off.</summary>
    Scrape,

    /// <summary>Cover bare parts.</summary>
    Coat,

    /// <summary>Open, change and close a block.</summary>
    Rebuild,
}

/// <summary>What a step counts.</summary>
public enum CountOf
{
    Screws,
    Films,
    Cuts,
    Checks,
    Ports,
    Strokes,
    Rounds,
    Posts,
    Sinks,
}
