using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>One covered part as it is expected, and what its way to the land is made of.</summary>
/// <param name="LandK">Rise of its land over the mean coolant.</param>
/// <param name="OwnK">Its own watts through its paste or pad.</param>
/// <param name="GapMm">Height of its pad as pressed, or of its film.</param>
/// <param name="PadMm">Thickness of its pad; null for a die under paste.</param>
public sealed record FaultPart(
    string Id,
    Point2 At,
    double Watts,
    double AreaMm2,
    double LandK,
    double OwnK,
    double GapMm,
    double? PadMm,
    double KWPerMK,
    double ContactMm2KPerW
)
{
    public bool IsDie => PadMm is null;

    /// <summary>What it may stand at, °C; null where none is stated.</summary>
    public double? LimitC { get; init; }

    /// <summary>What its pad is of; null under paste.</summary>
    public string? Material { get; init; }
}

/// <summary>The card as it should run, and how each part's temperature changes when something is wrong.</summary>
/// <remarks>
/// Sources: the plate and each part's way of <see cref="Expect"/>; a pad that touches nothing leaves the board's own
/// path. Land rises follow
/// the block's curve when the flow changes.
/// </remarks>
public sealed class FaultBench
{
    /// <summary>The board's own path of a part that touches no pad, K/W.</summary>
    public const double BoardKPerW = 40;

    /// <summary>Protective film of a pad, W/(m·K).</summary>
    private const double FilmWPerMK = 0.2;

    /// <summary>Share of a land's rise that lies over the fins: what air in them makes worse.</summary>
    private const double OverFins = 0.8;

    private readonly HeatConditions _at;
    private readonly FlowCurve _curve;
    private readonly double _watts;
    private readonly double _coolantC;

    public IReadOnlyList<FaultPart> Parts { get; }

    /// <summary>Mean height of a plate's middle: tilt turns about it.</summary>
    private readonly Point2 _middle;

    private FaultBench(
        IReadOnlyList<FaultPart> parts,
        HeatConditions at,
        FlowCurve curve,
        double watts,
        double coolantC
    )
    {
        (Parts, _at, _curve, _watts, _coolantC) = (parts, at, curve, watts, coolantC);
        _middle = parts.FirstOrDefault(p => p.IsDie)?.At ?? default;
    }

    /// <exception cref="InputException">See <see cref="Expect"/>.</exception>
    public static FaultBench Create(
        LaidBlock laid,
        IReadOnlyList<LaidPad>? pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        HeatConditions at,
        CancellationToken cancel = default
    )
    {
        var plate = BlockHeat.Compute(laid, at.PowerW, at.FlowLMin, cancel);
        return Create(plate, pads, materials, paste, at);
    }

    /// <summary>On a plate that is calculated already, at the flow it was calculated for.</summary>
    public static FaultBench Create(BlockHeat plate, StackUp stack, HeatConditions at) =>
        Create(plate, stack.Pads, stack.Materials, stack.Paste, at);

    private static FaultBench Create(
        BlockHeat plate,
        IReadOnlyList<LaidPad>? pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        HeatConditions at
    )
    {
        var laid = plate.Laid;
        var expected = Expect.Compute(plate, pads, materials, paste, at);
        var contacts = LandPairing
            .Pair(
                ExposedParts.Measured(laid.Board, laid.Block, Face.Front),
                laid.Block.Plates.SelectMany(p => p.Lands).ToList(),
                laid.Placement
            )
            .Where(p => p.Share >= LandPairing.MinShare)
            .GroupBy(p => p.Part.Id)
            .ToDictionary(g => g.Key, g => g.First());
        var given = (pads ?? []).GroupBy(p => p.Part).ToDictionary(g => g.Key, g => g.First());
        // two plates may reach over the same part
        var supplied = Gaps.Compute(laid, materials)
            .Pairs.GroupBy(g => g.Part)
            .ToDictionary(g => g.Key, g => g.First().Pad ?? g.First().Declared);
        var parts = new List<FaultPart>();
        foreach (var e in expected.Parts.Where(e => contacts.ContainsKey(e.Part)))
        {
            var pairing = contacts[e.Part];
            var area = pairing.Share * pairing.Part.Top().Area;
            var own = e.ThroughK;
            var through = e.Watts > 0 ? own / e.Watts : 0;
            if (pairing.Land.Through != Through.Pad)
            {
                var film = through * paste.ConductivityWPerMK * area / 1000;
                parts.Add(
                    new(
                        e.Part,
                        pairing.Part.At,
                        e.Watts,
                        area,
                        e.LandC - expected.CoolantMeanC,
                        own,
                        film,
                        null,
                        paste.ConductivityWPerMK,
                        0
                    )
                    {
                        LimitC = e.LimitC,
                    }
                );
                continue;
            }
            var (mm, id) = given.TryGetValue(e.Part, out var pad)
                ? (pad.ThicknessMm, pad.Material)
                : (
                    supplied.GetValueOrDefault(e.Part)?.ThicknessMm ?? 1,
                    supplied.GetValueOrDefault(e.Part)?.Material ?? ""
                );
            if (!materials.TryGetValue(id, out var material))
                continue;
            var k = material.ConductivityWPerMK ?? material.ClaimedWPerMK ?? 1;
            var contact = material.ContactMm2KPerW ?? PadWay.UnstatedContactMm2KPerW;
            var gap = e.Watts > 0 ? (through - 2 * contact / area) * k * area / 1000 : mm;
            parts.Add(
                new(
                    e.Part,
                    pairing.Part.At,
                    e.Watts,
                    area,
                    e.LandC - expected.CoolantMeanC,
                    own,
                    Math.Clamp(gap, 0.01, mm),
                    mm,
                    k,
                    contact
                )
                {
                    LimitC = e.LimitC,
                    Material = id,
                }
            );
        }
        return new(parts, at, laid.Block.Flow!, parts.Sum(p => p.Watts), expected.CoolantMeanC);
    }

    /// <summary>The same bench with a share of its power.</summary>
    /// <param name="change">What else is otherwise of each part; null leaves them.</param>
    public FaultBench With(double share, Func<FaultPart, FaultPart>? change = null) =>
        share == 1 && change is null
            ? this
            : new(
                [
                    .. Parts
                        .Select(change ?? (p => p))
                        .Select(p =>
                            p with
                            {
                                Watts = p.Watts * share,
                                LandK = p.LandK * share,
                                OwnK = p.OwnK * share,
                            }
                        ),
                ],
                _at,
                _curve,
                _watts * share,
                _at.CoolantInC + (_coolantC - _at.CoolantInC) * share
            );

    /// <summary>Under what it was calculated.</summary>
    internal HeatConditions Conditions => _at;

    public double ExpectedC(FaultPart p) => _coolantC + p.LandK + p.OwnK;

    /// <summary>Temperature, land rise and own way of a part with one thing wrong.</summary>
    /// <param name="at">The part it sits at; null for what concerns all.</param>
    /// <param name="corner">0 to 3: (−,−), (+,−), (+,+), (−,+); which corner of the block stands high.</param>
    public (double C, double LandK, double OwnK) With(FaultPart p, FaultKind kind, string? at, int corner, double size)
    {
        var (coolant, land, own) = (_coolantC, p.LandK, p.OwnK);
        switch (kind)
        {
            case FaultKind.FilmLeft when p.Id == at:
                own += p.Watts * size / (FilmWPerMK * p.AreaMm2) * 1000;
                own = Math.Min(own, p.Watts * BoardKPerW);
                break;
            case FaultKind.PadMissing when p.Id == at:
                own = p.Watts * BoardKPerW;
                break;
            case FaultKind.PadThin when p.Id == at:
                own = Pad(p, p.PadMm!.Value - size, p.GapMm);
                break;
            case FaultKind.PasteVoid when p.Id == at:
                own /= 1 - size;
                break;
            case FaultKind.PumpOut when p.Id == at:
                own *= 1 + size;
                break;
            case FaultKind.Floats:
                own = p.IsDie ? Film(p, p.GapMm + size) : Pad(p, p.PadMm!.Value, p.GapMm + size);
                break;
            case FaultKind.Tilt:
                var higher = Higher(p, corner, size);
                own = p.IsDie
                    ? Film(p, p.GapMm + Math.Abs(higher) + Math.Sqrt(p.AreaMm2) / 4 * Math.Tan(size * Math.PI / 180))
                    : Pad(p, p.PadMm!.Value, Math.Max(0.02, p.GapMm + higher));
                break;
            case FaultKind.LowFlow:
                var flow = _at.FlowLMin * size;
                land *= PerWatt(flow) / PerWatt(_at.FlowLMin);
                coolant += (Coolant.RiseK(_watts, flow) - Coolant.RiseK(_watts, _at.FlowLMin)) / 2;
                break;
            case FaultKind.Air:
                land *= 1 + OverFins * size / (1 - size);
                break;
        }
        return (coolant + land + own, land, own);
    }

    private double PerWatt(double flow) => _curve.AKPerW + _curve.BKPerW * Math.Pow(flow, -_curve.N);

    private static double Film(FaultPart p, double mm) => p.Watts * mm / (p.KWPerMK * p.AreaMm2) * 1000;

    /// <summary>A pad in a gap: less pressed it touches less well; not pressed at all it does not touch.</summary>
    private static double Pad(FaultPart p, double padMm, double gapMm)
    {
        if (gapMm >= padMm)
            return p.Watts * BoardKPerW;
        var pressed = (p.PadMm!.Value - p.GapMm) / p.PadMm.Value;
        var now = (padMm - gapMm) / padMm;
        var worse = pressed > 0 ? Math.Clamp(pressed / now, 1, 4) : 1;
        var through = gapMm / (p.KWPerMK * p.AreaMm2) * 1000 + 2 * p.ContactMm2KPerW / p.AreaMm2 * worse;
        return p.Watts * Math.Min(through, BoardKPerW);
    }

    /// <summary>How much higher the plate stands over a part when one corner is up by so many degrees, mm.</summary>
    private double Higher(FaultPart p, int corner, double degrees)
    {
        var (sx, sy) = corner switch
        {
            0 => (-1, -1),
            1 => (1, -1),
            2 => (1, 1),
            _ => (-1, 1),
        };
        var d = p.At - _middle;
        return (sx * d.X + sy * d.Y) / Math.Sqrt(2) * Math.Tan(degrees * Math.PI / 180);
    }
}
