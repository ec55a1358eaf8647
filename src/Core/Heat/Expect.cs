using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Heat;
using FaithfulBracket.Core.Words.Pads;

namespace FaithfulBracket.Core.Heat;

/// <param name="PowerW">Scales what all parts give to this sum; null takes the board as it stands.</param>
public sealed record HeatConditions(double? PowerW, double CoolantInC, double FlowLMin);

/// <summary>What one part will run at.</summary>
/// <param name="LandC">Of the plate where its heat goes in.</param>
/// <param name="ThroughK">Its own heat through its paste or pad.</param>
public sealed record ExpectedPart(string Part, double C, double LandC, double ThroughK, double? LimitC)
{
    public double Watts { get; init; }

    /// <summary>It would not go on running there.</summary>
    public bool PastLimit => C > LimitC;

    /// <summary>Of the land's, what a bare die's heat needs to spread in the base, K.</summary>
    public double SpreadK { get; init; }

    /// <summary>Half the 95 % range that the model's error and the parts' tolerances leave, K.</summary>
    public double RangeK { get; init; }
}

/// <param name="CoolantRiseK">Of the coolant through the block.</param>
public sealed record ExpectResult(
    double CoolantRiseK,
    double CoolantMeanC,
    IReadOnlyList<ExpectedPart> Parts,
    IReadOnlyList<Message> Warnings
)
{
    /// <summary>Parts with watts of which nothing is told; a warning says why.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<Part> Untold { get; init; } = [];
}

/// <summary>What every covered part runs at: coolant, plate, and its own way to the land.</summary>
public static class Expect
{
    public static string InWords => ExpectWords.LimitsBodyOfMiBAndThose;

    /// <param name="pads">Null takes what the block's maker supplies.</param>
    /// <exception cref="InputException">See <see cref="BlockHeat"/>; a pad of a material nobody knows.</exception>
    public static ExpectResult Compute(
        LaidBlock laid,
        IReadOnlyList<LaidPad>? pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        HeatConditions at,
        CancellationToken cancel = default
    ) => Compute(BlockHeat.Compute(laid, at.PowerW, at.FlowLMin, cancel), pads, materials, paste, at);

    /// <summary>The same on a plate that is calculated already, at the flow it was calculated for.</summary>
    /// <exception cref="InputException">A pad of a material nobody knows.</exception>
    public static ExpectResult Compute(
        BlockHeat plate,
        IReadOnlyList<LaidPad>? pads,
        IReadOnlyDictionary<string, PadMaterial> materials,
        PasteMaterial paste,
        HeatConditions at
    )
    {
        var heat = plate.At(at.PowerW);
        var laid = heat.Laid;
        var warnings = new List<Message>();
        var ways = new Ways(laid, pads, materials, paste, warnings);
        var rise = Coolant.RiseK(heat.Watts, at.FlowLMin);
        var mean = at.CoolantInC + rise / 2;
        var parts = new List<ExpectedPart>();
        // what two plates cover is told once, from the first
        foreach (var part in heat.Parts.Concat(heat.Others.SelectMany(o => o.Parts)).DistinctBy(p => p.Part.Id))
        {
            if (ways.KPerW(part) is not { } through || heat.LandRise(part) is not { } land)
                continue;
            var (own, spread) = (part.Watts * through, part.Watts * BareDie.KPerW(heat, part));
            land += spread;
            parts.Add(
                new(part.Part.Id, mean + land + own, mean + land, own, part.Part.LimitC)
                {
                    Watts = part.Watts,
                    SpreadK = spread,
                    RangeK =
                        HeatError.RangeK(own + spread, land - spread, ways.GapShare(part))
                        + part.Watts * ways.FilmOpenKPerW(part),
                }
            );
            if (part.Part is { LimitC: { } limit, Kind: not PartKind.Lid } && mean + land + own > limit)
                warnings.Add(CarrierHeatWords.WouldRunAtAllowed(part.Part.Id, mean + land + own, limit));
        }
        parts.AddRange(UnderLid.Dies(laid.Board, parts, mean, warnings));
        var told = parts.Select(p => p.Part).ToHashSet();
        var known = heat.Parts.Concat(heat.Others.SelectMany(o => o.Parts)).Select(p => p.Part.Id).ToHashSet();
        List<Part> untold =
        [
            .. laid.Board.Parts.Where(p =>
                p is { DissipationW: > 0, Kind: not PartKind.Empty } && !told.Contains(p.Id)
            ),
        ];
        foreach (var part in untold.Where(p => !known.Contains(p.Id)))
            warnings.Add(ExpectWords.NoLandOfBlockCovers(part.Id));
        return new(rise, mean, parts, warnings) { Untold = untold };
    }

    /// <summary>Each part's own way to its land, as the block rests on its pads and films.</summary>
    private sealed class Ways
    {
        private readonly IReadOnlyDictionary<string, PadMaterial> _materials;
        private readonly PasteMaterial _paste;
        private readonly List<Message> _warnings;
        private readonly SeatingResult? _seated;
        private readonly Dictionary<string, LaidPad> _pads;
        private readonly Dictionary<string, Gap> _gaps = [];

        public Ways(
            LaidBlock laid,
            IReadOnlyList<LaidPad>? pads,
            IReadOnlyDictionary<string, PadMaterial> materials,
            PasteMaterial paste,
            List<Message> warnings
        )
        {
            (_materials, _paste, _warnings) = (materials, paste, warnings);
            var gaps = Gaps.Compute(laid, materials);
            foreach (var gap in gaps.Pairs)
                _gaps[gap.Part] = gap;
            var laidPads =
                pads
                ??
                [
                    .. gaps
                        .Pairs.Where(g => g.Through == Through.Pad)
                        .Select(g => (g.Part, Fit: g.Pad ?? g.Declared))
                        .Where(g => g.Fit is not null)
                        .Select(g => new LaidPad(g.Part, g.Fit!.ThicknessMm, g.Fit.Material)),
                ];
            _pads = laidPads.GroupBy(p => p.Part).ToDictionary(g => g.Key, g => g.First());
            try
            {
                _seated = SeatingSolver.Solve(new(laid, laidPads, materials, paste));
            }
            catch (InputException e)
            {
                warnings.Add(ExpectWords.HowBlockRests(e.Faults[0].Message, PlaneHeight.DefaultBondLineMm * 1000));
            }
            foreach (var die in _seated?.Dies.Where(d => d.LoadUnknown) ?? [])
                warnings.Add(
                    ExpectWords.WhatPressesIs(die.Part, UnknownSprings.NotStated, Films(die).Least, Films(die).Most)
                );
            if (_seated is { Floats: true })
                warnings.Add(ExpectWords.BlockFloatsFilmOverDie);
        }

        /// <returns>Null where nothing carries the part's heat, which is said.</returns>
        public double? KPerW(HeatedPart part) => part.Pairing.Land.Through == Through.Pad ? Pad(part) : Film(part);

        private double? Film(HeatedPart part)
        {
            var um = Die(part) is { } die
                ? Films(die) is var (least, most)
                    ? (least + most) / 2
                    : 0
                : PlaneHeight.DefaultBondLineMm * 1000;
            return um * PerUm(part);
        }

        /// <summary>Half of what an unknown film leaves open, K/W; 0 where it is known.</summary>
        public double FilmOpenKPerW(HeatedPart part) =>
            Die(part) is { } die && Films(die) is var (least, most) ? (most - least) / 2 * PerUm(part) : 0;

        private DieContact? Die(HeatedPart part) =>
            part.Pairing.Land.Through == Through.Pad ? null : _seated?.Dies.FirstOrDefault(d => d.Part == part.Part.Id);

        private double PerUm(HeatedPart part) => 1 / (_paste.ConductivityWPerMK * part.CoveredMm2);

        /// <summary>
        /// The film of a die, µm; while nobody knows what presses it, from that of a block drawn down hard to the
        /// thickest that does not float.
        /// </summary>
        private static (double Least, double Most) Films(DieContact die)
        {
            var film = die.BondLinesUm.Average();
            return die.LoadUnknown ? (film, Math.Max(film, SeatingSolver.DefaultMaxBondLineUm)) : (film, film);
        }

        private double? Pad(HeatedPart part)
        {
            var id = part.Part.Id;
            if (!_pads.TryGetValue(id, out var pad))
            {
                _warnings.Add(CarrierHeatWords.HasNoPad(id));
                return null;
            }
            if (!_materials.TryGetValue(pad.Material, out var material))
                throw new InputException("pads", PadChoiceWords.PadMaterialIsNotKnown(pad.Material));
            var squash = _seated?.Pads.FirstOrDefault(p => p.Part == id)?.Squash;
            var gap = squash is { } s
                ? pad.ThicknessMm * (1 - s)
                : _gaps.GetValueOrDefault(id)?.NominalMm ?? pad.ThicknessMm;
            if (squash is <= 0 || gap >= pad.ThicknessMm)
            {
                _warnings.Add(ExpectWords.PadOnDoesNotTouch(id));
                return null;
            }
            if (PadWay.KPerW(material, gap, part.CoveredMm2) is { } way)
                return way;
            _warnings.Add(ExpectWords.StatesNoConductivity(pad.Material, id));
            return null;
        }

        /// <summary>
        /// Standard deviation of the gap over a part as a share of it: the root-sum-square band is three of them to
        /// each side.
        /// </summary>
        public double GapShare(HeatedPart part) =>
            part.Pairing.Land.Through == Through.Pad && _gaps.GetValueOrDefault(part.Part.Id) is { NominalMm: > 0 } gap
                ? (gap.RssMaxMm - gap.RssMinMm) / 6 / gap.NominalMm
                : 0;
    }
}
