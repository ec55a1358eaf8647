using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Words.Mount;
using FaithfulBracket.Core.Words.Mount.Mountings;

namespace FaithfulBracket.Core.Mount.Mountings;

/// <summary>A block down on its board, its screws started, turned pass by pass to home, then what goes behind.</summary>
internal partial class ScrewedMounting : IMounting
{
    private readonly WorkOrder _order;
    private readonly Pair _pair;
    private readonly BoardFit _on;
    private readonly TighteningResult? _tightening;
    private readonly Ways _ways;
    private readonly List<BlockHole> _first;
    private readonly List<BlockHole> _held;
    private readonly IReadOnlyList<PadPiece> _pieces;
    private readonly ILookup<Face, PadPiece> _pads;
    private readonly ScrewPlaces _places;
    private readonly Dictionary<string, int> _number;

    public ScrewedMounting(MountedPair at)
    {
        At = at;
        (_order, _pair, _on, _tightening, _ways) = (at.Order, at.Pair, at.On, at.Tightening, at.Ways);
        _pieces = at.Own(edges: false);
        _pads = _pieces.ToLookup(p => p.Face);
        (_first, _held) = MountScrews.Split(_on.Laid.Block, _ways);
        Sequence = [.. MountScrews.Sequence(_on.Laid.Block, _first, _tightening)];
        _places = new(_on.Laid, FromBack);
        _number = MountScrews
            .Numbered(Sequence, _held)
            .Select((h, i) => (h.Id, i: i + 1))
            .ToDictionary(x => x.Id, x => x.i);
    }

    /// <summary>What is mounted where.</summary>
    protected MountedPair At { get; }

    /// <summary>Screws in the order in which they are turned.</summary>
    protected List<BlockHole> Sequence { get; }

    public virtual string Turned => "Screw";

    protected bool FromBack => Behind || _ways.WhoMoves == WhoMoves.Board;
    private Face Seen => FromBack ? Face.Back : Face.Front;

    private StepId Id(string target) => At.Id(target);

    public virtual IEnumerable<WorkStep> Steps()
    {
        var block = _on.Laid.Block;
        foreach (var ribbon in RibbonsBetween.Steps(At))
            yield return ribbon;
        foreach (var down in Down())
            yield return down;
        // from above, once the front is closed: a board never lies on pads and paste
        foreach (var plate in block.StockPlates.Where(p => BehindScrews.FromStart(block, p)))
            yield return StockUnder(plate);
        foreach (var plate in _ways.PlateFirst ? OwnPlate() : [])
            yield return plate;
        yield return Start();
        if (_tightening is { } t)
        {
            foreach (var pass in PassRounds.From(t))
                yield return PassOf(t, pass);
            var turned = t.Moves.Select(m => m.Hole).ToHashSet();
            if (Sequence.FindAll(h => !turned.Contains(h.Id)) is { Count: > 0 } rest)
                yield return Untold("turn-rest", rest);
        }
        else if (Sequence.Count > 0)
            yield return Untold("turn-1", Sequence);
        foreach (var plate in _ways.PlateFirst ? [] : OwnPlate())
            yield return plate;
        foreach (var plate in block.StockPlates.Where(p => p.Pair is null && !BehindScrews.FromStart(block, p)))
            yield return StockBehind(plate);
    }

    /// <summary>The block comes to lie on its board, or the board in its block.</summary>
    protected virtual IEnumerable<WorkStep> Down()
    {
        if (Behind)
            foreach (var lay in Laid())
                yield return lay;
        yield return Lower();
    }

    private string TheBoard => _order.Pieces.Count > 1 ? $"board {_on.Board}" : "the board";

    /// <summary>Whose screws, where several blocks go on.</summary>
    private string OfBlock => _order.Pairs.Count > 1 ? $" of {_order.Name(_pair)}" : "";

    /// <summary>"Block P, pass 1 of 3: …" where several blocks go on.</summary>
    private Message OfThis(Message pass) =>
        _order.Pairs.Count > 1 ? PassSentences.OfBlock(Capital(_order.Name(_pair)), pass) : pass;

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

    /// <summary>Pads behind the board, right before something closes over them.</summary>
    protected IEnumerable<WorkStep> Laid() => PadSteps.LaidBehind(_order, _pair, _pieces, _ways);

    private bool Behind => _pair.Block.Kind == BlockKind.BackPlate;

    /// <summary>Pads of a face whose outer film comes off when the block closes over them.</summary>
    private int OuterFilms(Func<Face, bool> on) =>
        PadSteps.OuterLast(_pair, _ways) ? _pads.Where(g => on(g.Key)).Sum(g => g.Count()) : 0;

    /// <summary>
    /// What stands taller than the block, where the board comes down onto it: it lies beside the support, or the block would
    /// not lie flat.
    /// </summary>
    private Message Overhanging()
    {
        if (!FromBack || _pair.Block.HeightMm is not { } height)
            return Message.Empty;
        var tall = _on
            .Laid.Board.Parts.Where(p => p.Face == Face.Front && p.HeightMm > height)
            .OrderByDescending(p => p.HeightMm)
            .Take(MaxTall)
            .Select(p => p.Id)
            .ToList();
        return tall.Count == 0
            ? Message.Empty
            : ScrewedMountingWords.LetTallPartsOverhang(
                string.Join(" and ", tall),
                tall.Count == 1 ? "stands" : "stand"
            );
    }

    /// <summary>So many tall parts are named.</summary>
    private const int MaxTall = 3;

    private WorkStep Lower()
    {
        var faces = _on.Laid.Block.Plates.Select(p => p.Face).ToHashSet();
        var films = OuterFilms(faces.Contains);
        return new()
        {
            Id = Id("lower"),
            Kind = StepKind.Lower,
            Board = _on.Board,
            Pair = _pair.Key,
            Done = ScrewedMountingWords.LoweredHolesLineUp,
            Face = Seen,
            Title =
                Behind ? ScrewedMountingWords.LayBehindHolesOverThoseLeft(_order.Name(_pair), TheBoard)
                : FromBack ? ScrewedMountingWords.LowerOntoHolesVisible(TheBoard, _order.Name(_pair))
                : ScrewedMountingWords.LowerOnto(_order.Name(_pair), TheBoard),
            Detail =
                (films > 0 ? BridgingWords.PeelOuterFilmOff(HowMany.All(films, "pad")) : Message.Empty)
                + ScrewedMountingWords.LineUpBeforeContact
                + Overhanging(),
            Caution =
                _ways.Pressing == Pressing.Light
                    ? ScrewedMountingWords.PressLightlyOverDieOnlyNever
                    : ScrewedMountingWords.DoNotPressDownWhileScrewing,
            Targets = [.. _first.Select(h => h.Id)],
            Count = films > 0 ? films : null,
            Counted = films > 0 ? CountOf.Films : null,
            Facts = films > 0 ? [new($"{films}", films == 1 ? "film" : "films")] : [],
        };
    }

    private WorkStep Start()
    {
        var waits = _held.Except(_first).ToList();
        return new()
        {
            Id = Id("start"),
            Kind = StepKind.Start,
            Board = _on.Board,
            Pair = _pair.Key,
            Done = ScrewedMountingWords.AllStarted(_first.Count),
            Face = Seen,
            Title = ScrewedMountingWords.StartLoose(HowMany.Count(_first.Count, "screw"), OfBlock, Washers()),
            Detail =
                waits.Count > 0
                    ? ScrewedMountingWords.LeaveOutBackPlate(
                        waits.Count,
                        string.Join(", ", waits.Select(h => h.Id)),
                        waits.Count == 1 ? "holds" : "hold"
                    )
                    : ScrewedMountingWords.NoThreadMayBiteYet,
            Targets = [.. _first.Select(h => h.Id)],
            Driver = _first.Count > 0 ? Driver(_first[0]) : null,
            Count = _first.Count,
            Counted = CountOf.Screws,
            Facts =
            [
                new($"{_first.Count}", "screws"),
                .. waits.Count > 0 ? new[] { new Fact($"{waits.Count}", "stay out") } : [],
            ],
        };
    }

    private string Washers() =>
        _first.Select(h => h.Washer).OfType<string>().Distinct().ToList() is { Count: > 0 } w
            ? ScrewedMountingWords.WasherToBoard(string.Join(" and ", w))
            : "";
}
