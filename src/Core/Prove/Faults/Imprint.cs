namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>What a pad or a die showed when somebody looked: along the edge, or at its imprint after a lift.</summary>
public enum ImprintMark
{
    /// <summary>Marked all over, or paste thin and even.</summary>
    Even,

    /// <summary>A weak mark: it touched, and hardly.</summary>
    Faint,

    /// <summary>A pad without a mark.</summary>
    NoMark,

    /// <summary>The protective film is still on.</summary>
    Film,

    /// <summary>No pad lies there.</summary>
    NoPad,

    /// <summary>A corner or a stretch of bare silicon.</summary>
    BareCorner,

    /// <summary>Paste thick on one side.</summary>
    OneSide,

    /// <summary>Paste thick all over.</summary>
    ThickAllOver,

    /// <summary>Paste gone from the middle, a rim of it left.</summary>
    PumpedOut,
}

/// <summary>A part somebody looked at.</summary>
public sealed record ImprintLook(string Part, ImprintMark Mark);

/// <summary>How likely each mark is under each suspicion: the shop's working table, rows that need not sum to one.</summary>
public static class ImprintOdds
{
    /// <summary>An eye errs now and then.</summary>
    private const double Rarely = 0.004;

    /// <summary>Marks that a pad, or a die under paste, can show.</summary>
    public static IReadOnlyList<ImprintMark> For(bool die) =>
        die
            ?
            [
                ImprintMark.Even,
                ImprintMark.BareCorner,
                ImprintMark.OneSide,
                ImprintMark.ThickAllOver,
                ImprintMark.PumpedOut,
            ]
            : [ImprintMark.Even, ImprintMark.Faint, ImprintMark.NoMark, ImprintMark.Film, ImprintMark.NoPad];

    /// <param name="here">Whether the suspicion sits at the part that was looked at.</param>
    public static double Chance(FaultKind kind, bool here, ImprintMark mark) =>
        (mark, kind) switch
        {
            (ImprintMark.Film, FaultKind.FilmLeft) when here => 0.95,
            (ImprintMark.NoPad, FaultKind.PadMissing) when here => 0.98,
            (ImprintMark.NoMark, FaultKind.PadThin) when here => 0.6,
            (ImprintMark.NoMark, FaultKind.Floats) => 0.3,
            (ImprintMark.NoMark, FaultKind.Tilt) => 0.15,
            (ImprintMark.Faint, FaultKind.PadThin) when here => 0.35,
            (ImprintMark.Faint, FaultKind.Floats) => 0.4,
            (ImprintMark.Faint, FaultKind.Tilt) => 0.3,
            (ImprintMark.Faint, _) => 0.03,
            (ImprintMark.BareCorner, FaultKind.PasteVoid) when here => 0.9,
            (ImprintMark.BareCorner, FaultKind.Tilt) => 0.15,
            (ImprintMark.OneSide, FaultKind.Tilt) => 0.8,
            (ImprintMark.OneSide, FaultKind.PasteVoid) when here => 0.06,
            (ImprintMark.ThickAllOver, FaultKind.Floats) => 0.85,
            (ImprintMark.PumpedOut, FaultKind.PumpOut) when here => 0.85,
            (ImprintMark.Even, FaultKind.FilmLeft or FaultKind.PadMissing) when here => Rarely,
            (ImprintMark.Even, FaultKind.PadThin or FaultKind.PasteVoid) when here => 0.04,
            (ImprintMark.Even, FaultKind.PumpOut) when here => 0.1,
            (ImprintMark.Even, FaultKind.Floats) => 0.2,
            (ImprintMark.Even, FaultKind.Tilt) => 0.35,
            (ImprintMark.Even, _) => 0.93,
            _ => Rarely,
        };
}
