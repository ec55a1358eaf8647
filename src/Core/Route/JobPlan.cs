using FaithfulBracket.Core.Kit;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Cutting;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Teardown;

namespace FaithfulBracket.Core.Route;

/// <summary>Everything reckoned for one job. A part that can not be reckoned is null and its trouble is said.</summary>
public sealed record JobPlan
{
    public FitResult? Fit { get; init; }

    /// <summary>What to check with the block laid on dry.</summary>
    public IReadOnlyList<Prep.DryFitCheck> DryFit { get; init; } = [];

    /// <summary>What sits in every hole at each stage.</summary>
    public IReadOnlyList<HoleRow> Holes { get; init; } = [];

    /// <summary>Back to stock, step by step.</summary>
    public IReadOnlyList<WorkStep> Restore { get; init; } = [];

    /// <summary>Flips and driver changes of the best order, where another was chosen.</summary>
    public TeardownPlan? BestTeardown { get; init; }
    public IReadOnlyList<KitLine> Kit { get; init; } = [];
    public TeardownPlan? Teardown { get; init; }
    public GapsResult? Gaps { get; init; }
    public IReadOnlyList<PlacedPad> Pads { get; init; } = [];

    /// <summary>Pieces to cut: one for each pad, or strips.</summary>
    public IReadOnlyList<PadPiece> Pieces { get; init; } = [];
    public CutPlan? Cutting { get; init; }

    /// <summary>What the stock pads say of the parts' heights.</summary>
    public IReadOnlyList<Pads.Stock.PartEvidence> Evidence { get; init; } = [];
    public SeatingResult? Seating { get; init; }
    public IReadOnlyList<PasteFace> Paste { get; init; } = [];
    public TighteningResult? Tightening { get; init; }
    public Comparison? Comparison { get; init; }
    public IReadOnlyList<StationPlan> Stations { get; init; } = [];

    /// <summary>Questions on which installers disagree, for this board.</summary>
    public IReadOnlyList<School> Schools { get; init; } = [];

    /// <summary>What could not be reckoned, and why.</summary>
    public IReadOnlyList<string> Troubles { get; init; } = [];
}
