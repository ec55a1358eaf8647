using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Words.Paste;
using FaithfulBracket.Core.Words.Sockets;

namespace FaithfulBracket.Core.Sockets;

/// <summary>A film of liquid metal.</summary>
public sealed record MetalFilm(double BondLineUm, double ConductivityWPerMK)
{
    /// <summary>Film that is meant on each face, µm.</summary>
    public const double UsualUm = 30;
}

/// <param name="PasteBondLineUm">Film between lid and block; 30 µm when not stated.</param>
/// <param name="Board">What the block may meet when it comes down; null when not told.</param>
public sealed record DirectDieAsk(
    Socket Socket,
    Board Processor,
    Block Block,
    double PowerW,
    double BlockKPerW,
    double PasteWPerMK,
    MetalFilm Metal,
    double PasteBondLineUm = 30,
    Board? Board = null
);

public sealed record CodedText(string Code, Message Text);

/// <param name="LoadCentre">Where the springs pull together, in the socket's frame.</param>
/// <param name="GainK">Cooler hottest die at this power, K; between low and high by the films' spread and the
/// spreading formula's error.</param>
/// <param name="Hottest">The die that is hottest under its lid.</param>
/// <param name="LiddedKPerW">Of the hottest die, per watt of the whole package, without what both ways share.</param>
public sealed record DirectDieResult(
    HeightChain Lidded,
    HeightChain Direct,
    IReadOnlyList<DieLoad> Dies,
    Point2 LoadCentre,
    Point2 AreaCentre,
    Point2 PowerCentre,
    double GainK,
    double GainLowK,
    double GainHighK,
    string Hottest,
    double LiddedKPerW,
    double DirectKPerW,
    Verdict Verdict,
    IReadOnlyList<CodedText> Refusals,
    IReadOnlyList<CodedText> Warnings
)
{
    /// <summary>
    /// The power that becomes possible at the same temperature of the hottest die, W more; null where nothing is
    /// gained.
    /// </summary>
    public double? MoreW { get; init; }

    /// <summary>What each layer of the hottest die adds with its lid on, and bare, K at this power.</summary>
    public IReadOnlyList<LayerRise> LiddedLayers { get; init; } = [];
    public IReadOnlyList<LayerRise> DirectLayers { get; init; } = [];

    /// <summary>From the load's centre to the areas' and the power's, mm.</summary>
    public double LoadToAreaMm => (LoadCentre - AreaCentre).Length;
    public double LoadToPowerMm => (LoadCentre - PowerCentre).Length;
}

/// <param name="Layer">bond, lid, paste, base or metal.</param>
public sealed record LayerRise(string Layer, double K);

/// <summary>Lid on or lid off: heights, loads on the dies, and what is gained in kelvin.</summary>
public static class DirectDie
{
    internal const double CopperWPerMK = 390;

    private const double SolderWPerMK = 80,
        PastedWPerMK = 4,
        UnstatedBondMm = 0.3;

    /// <summary>How films come out, as shares of what is meant.</summary>
    internal const double ThinShare = 0.7,
        ThickShare = 1.6;

    /// <summary>Dies that differ by more than films take up, mm.</summary>
    private const double UnevenMm = 0.05;

    /// <summary>Where a drop of metal may run, mm round a die.</summary>
    private const double ReachMm = 12;

    /// <exception cref="InputException">No die, no lid, or a figure that makes no resistance.</exception>
    public static DirectDieResult Compute(DirectDieAsk ask)
    {
        var (socket, processor, block) = (ask.Socket, ask.Processor, ask.Block);
        var dies = HeightChain.Dies(processor);
        if (dies.Count == 0)
            throw new InputException("processor/parts", DirectDieWords.ExpectedAtLeastOneDie);
        var lid =
            HeightChain.Lid(processor)
            ?? throw new InputException("processor/parts", DirectDieWords.ExpectedLidWithoutOneThere);
        var kit = SocketKits.Choose(block, socket, processor, lid: false, ask.Metal.BondLineUm / 1000);
        var lidded = HeightChain.Create(socket, processor, block, kit, lid: true, ask.PasteBondLineUm / 1000);
        var direct = HeightChain.Create(socket, processor, block, kit, lid: false, ask.Metal.BondLineUm / 1000);
        var stamp = SocketMatch.Stamp(socket, dies, block, kit, direct);
        var shares = PowerShares.Compute(dies);
        if (Math.Abs(shares.Sum() - 1) > PowerShares.SumWithin)
            throw new InputException("processor/parts", DirectDieWords.DiesPowerSharesSum(shares.Sum()));
        var meant = Gain(ask, lid, dies, shares, new(1, 1, 1, 1));
        var (low, high) = Range(ask, lid, dies, shares);
        var refusals = Refusals(block, processor).ToList();
        var judged = Judge(ask, kit, dies, direct, stamp).ToList();
        var gain = ask.PowerW * (meant.Lidded - meant.Direct);
        return new(
            lidded,
            direct,
            stamp.Dies,
            stamp.LoadCentre,
            stamp.AreaCentre,
            dies.Zip(shares)
                .Aggregate(default(Point2), (sum, d) => sum + d.First.Top().Centroid * (d.Second / shares.Sum())),
            gain,
            low,
            high,
            meant.Hottest,
            meant.Lidded,
            meant.Direct,
            judged.Any(j => j.Weight == Weight.Clash) ? Verdict.Clashes
                : judged.Any(j => j.Weight == Weight.Work) ? Verdict.SeatsWithWork
                : Verdict.Seats,
            refusals,
            [
                .. judged.OrderByDescending(j => j.Weight).Select(j => new CodedText(j.Reason.Code, j.Reason.Text)),
                .. Warnings(block),
            ]
        )
        {
            LiddedLayers = [.. meant.LiddedLayers.Select(l => l with { K = l.K * ask.PowerW })],
            DirectLayers = [.. meant.DirectLayers.Select(l => l with { K = l.K * ask.PowerW })],
            // the block's own resistance stands behind both
            MoreW =
                gain > 0 ? ask.PowerW * ((meant.Lidded + ask.BlockKPerW) / (meant.Direct + ask.BlockKPerW) - 1) : null,
        };
    }

    /// <summary>
    /// Factors on the solder or paste under the lid, the paste over it, the metal, and the spreading term.
    /// </summary>
    private readonly record struct Films(double Bond, double Paste, double Metal, double Spread);

    /// <summary>s·R of the hottest die both ways, and what it is made of.</summary>
    private readonly record struct BothWays(
        double Lidded,
        double Direct,
        string Hottest,
        IReadOnlyList<LayerRise> LiddedLayers,
        IReadOnlyList<LayerRise> DirectLayers
    );

    private static BothWays Gain(DirectDieAsk ask, Part lid, IReadOnlyList<Part> dies, double[] shares, Films f)
    {
        var lidArea = lid.Top().Area;
        var plate = ask.Block.ColdPlate;
        var fins =
            (plate?.FinArea ?? plate?.FlowArea)?.Area
            ?? ask.Block.Plates.SelectMany(p => p.Lands).Select(l => l.Outline.Area).DefaultIfEmpty(lidArea).Max();
        var (baseMm, baseK) = (plate?.BaseMm ?? 3, plate?.KWPerMK ?? CopperWPerMK);
        // what the block does behind its base, over its fins
        var behind = 1 / (ask.BlockKPerW * fins * 1e-6);
        double Base(double from, double share) => Spreading.Layer(from, share * fins, baseMm, baseK, behind, f.Spread);
        var tallest = dies.Max(d => d.HeightMm);
        var (withLid, without, hottest) = (double.NegativeInfinity, double.NegativeInfinity, "");
        IReadOnlyList<LayerRise> lidded = [],
            bare = [];
        for (var i = 0; i < dies.Count; i++)
        {
            var (die, s) = (dies[i], shares[i]);
            if (s <= 0)
                continue;
            var area = die.Top().Area;
            var bond =
                (die.BondMm ?? lid.BondMm ?? UnstatedBondMm)
                * f.Bond
                / 1000
                / (BondK(ask.Processor, lid, die) * area * 1e-6);
            var paste = ask.PasteBondLineUm * f.Paste * 1e-6 / (ask.PasteWPerMK * s * lidArea * 1e-6);
            var under = Base(s * lidArea, s);
            var behindLid = 1 / ((paste + under + ask.BlockKPerW / s) * s * lidArea * 1e-6);
            var spread = Spreading.Layer(
                area,
                s * lidArea,
                lid.LidThicknessMm ?? die.LidThicknessMm ?? 2,
                lid.LidKWPerMK ?? die.LidKWPerMK ?? CopperWPerMK,
                behindLid,
                f.Spread
            );
            var film = ask.Metal.BondLineUm * f.Metal * 1e-6 + (tallest - die.HeightMm) / 1000;
            var r = s * (bond + spread + paste + under);
            if (r > withLid)
            {
                (withLid, hottest) = (r, die.Id);
                lidded =
                [
                    new("bond", s * bond),
                    new("lid", s * spread),
                    new("paste", s * paste),
                    new("base", s * under),
                ];
            }
            var metal = film / (ask.Metal.ConductivityWPerMK * area * 1e-6);
            var below = Base(area, s);
            if (s * (metal + below) > without)
            {
                without = s * (metal + below);
                bare = [new("metal", s * metal), new("base", s * below)];
            }
        }
        return new(withLid, without, hottest, lidded, bare);
    }

    /// <summary>A bond that carries heat better than this is solder, W/(m·K).</summary>
    private const double MinSolderWPerMK = 20;

    /// <summary>Whether the lid is soldered, as far as the documents say.</summary>
    public static bool Soldered(Board processor) =>
        HeightChain.Lid(processor) is { } lid
        && HeightChain.Dies(processor).Any(d => BondK(processor, lid, d) > MinSolderWPerMK);

    /// <summary>Solder where nothing else is said; paste where the processor says so.</summary>
    internal static double BondK(Board processor, Part lid, Part die) =>
        die.BondKWPerMK
        ?? lid.BondKWPerMK
        ?? (
            processor.Assembly?.Bonds.Any(b =>
                b.Kind == BondKind.Paste && (b.Parts.Contains(lid.Id) || b.Parts.Contains(die.Id))
            ) == true
                ? PastedWPerMK
                : SolderWPerMK
        );

    private static (double Low, double High) Range(
        DirectDieAsk ask,
        Part lid,
        IReadOnlyList<Part> dies,
        double[] shares
    )
    {
        double low = double.PositiveInfinity,
            high = double.NegativeInfinity;
        double[] films = [ThinShare, ThickShare],
            // the formula tells too little by 5 %, or too much by 9
            spreads = [1 / (1 + Spreading.HighShare), 1 / (1 + Spreading.LowShare)];
        foreach (var bond in films)
        foreach (var paste in films)
        foreach (var metal in films)
        foreach (var spread in spreads)
        {
            var g = Gain(ask, lid, dies, shares, new(bond, paste, metal, spread));
            var k = ask.PowerW * (g.Lidded - g.Direct);
            (low, high) = (Math.Min(low, k), Math.Max(high, k));
        }
        return (low, high);
    }

    private static IEnumerable<Judgement> Judge(
        DirectDieAsk ask,
        SocketFit? kit,
        IReadOnlyList<Part> dies,
        HeightChain direct,
        StampResult stamp
    )
    {
        static Judgement Say(Weight w, string code, Message text) => new(w, new(code, text, []));
        foreach (var wrong in SocketMatch.Fits(ask.Socket, ask.Processor, ask.Block, kit))
            yield return wrong;
        if (direct.StopGapMm is < 0 and var gap)
            yield return Say(Weight.Clash, "stop-before-contact", DirectDieWords.WithLidOffBlockLands(-gap));
        else if (direct.MissesHeight)
            yield return SocketMatch.Shimmed(direct, DirectDieWords.WithLidOffSpringsStandLower(direct.ShimMm));
        if (!stamp.Balanced)
            yield return Say(Weight.Clash, "overturns", DirectDieWords.SpringsPullOutsideAllDies);
        foreach (var d in stamp.Dies)
        {
            var part = dies.First(p => p.Id == d.Part);
            if (stamp.Balanced && direct.LoadN > 0 && d.Lifts)
                yield return Say(Weight.Work, "lifts", DirectDieWords.IsNotPressedEverywhere(d.Part, WhichWay(stamp)));
            if (part.MaxLoadN is { } most && d.LoadN > most)
                yield return Say(Weight.Clash, "over-load", DirectDieWords.WouldCarryOfAtMost(d.Part, d.LoadN, most));
            if (part.MaxPressureMPa is { } limit && d.PeakMPa > limit)
                yield return Say(Weight.Clash, "over-load", DirectDieWords.WouldBePressed(d.Part, d.PeakMPa, limit));
        }
        var turns = Orientations.Find(ask.Board, ask.Socket, ask.Block, kit, direct.HomeMm);
        if (turns.Count > 0 && turns.All(t => t.Clashes.Count > 0))
            yield return Say(
                Weight.Clash,
                "keep-out",
                DirectDieWords.WithLidOffBlockMeets(turns[0].Clashes[0].Part, -turns[0].Clashes[0].MarginMm)
            );
        if (direct.SocketLoadN < ask.Socket.ContactMinN)
            yield return Say(
                Weight.Work,
                "contact-low",
                DirectDieWords.OnContactsAtLeast(direct.SocketLoadN, ask.Socket.ContactMinN)
            );
        else if (direct.SocketLoadN > ask.Socket.ContactMaxN)
            yield return Say(
                Weight.Work,
                "contact-high",
                DirectDieWords.OnContactsAtMost(direct.SocketLoadN, ask.Socket.ContactMaxN)
            );
        if (dies.Max(d => d.HeightMm) - dies.Min(d => d.HeightMm) is > UnevenMm and var apart)
            yield return Say(Weight.Work, "uneven-dies", DirectDieWords.DiesDifferBy(apart));
    }

    private static string WhichWay(StampResult stamp)
    {
        var off = stamp.LoadCentre - stamp.AreaCentre;
        return DirectDieWords.ItPullsTowards(off.Length, Math.Atan2(off.Y, off.X) * 180 / Math.PI);
    }

    private static IEnumerable<CodedText> Refusals(Block block, Board processor)
    {
        if (Metals(block).Any(m => m.Contains("alumin", StringComparison.OrdinalIgnoreCase)))
            yield return new("aluminium", PasteMethodsWords.BlocksFaceIsAluminium);
        var bare = BareParts(processor);
        if (bare.Count > 0)
            yield return new(
                "bare-parts",
                DirectDieWords.BareInReachOfDrop(bare.Count, bare.Count == 1 ? "part lies" : "parts lie")
            );
    }

    /// <summary>Parts beside the dies that a drop of metal may reach: what is coated before any is opened.</summary>
    public static IReadOnlyList<string> BareParts(Board processor)
    {
        var dies = HeightChain.Dies(processor);
        return
        [
            .. processor
                .Parts.Where(p =>
                    p.Kind is PartKind.Capacitor or PartKind.Other
                    && p.Face == Face.Front
                    && dies.Any(d => p.Top().Bounds.Meets(d.Top().Bounds.Grown(ReachMm)))
                )
                .Select(p => p.Id),
        ];
    }

    private static IEnumerable<CodedText> Warnings(Block block)
    {
        var metals = Metals(block).ToList();
        if (metals.Count == 0)
            yield return new("metal-unknown", PasteMethodsWords.BlockDoesNotSayWhatFace);
        else if (
            metals.Any(m =>
                m.Contains("copper", StringComparison.OrdinalIgnoreCase)
                && !m.Contains("nickel", StringComparison.OrdinalIgnoreCase)
            )
        )
            yield return new("bare-copper", PasteMethodsWords.BareCopperSoaksLiquidMetalUp);
        yield return new("for-good", DirectDieWords.LidThatIsOffStaysOff);
    }

    private static IEnumerable<string> Metals(Block block) =>
        block
            .Plates.SelectMany(p => p.Lands)
            .Where(l => l.Through == Through.Paste || l.Through == Through.LiquidMetal)
            .Select(l => l.Metal)
            .Append(block.ColdPlate?.Metal)
            .OfType<string>();
}
