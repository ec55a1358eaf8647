using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Paste;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>The amount for a face and, when a pattern is given, what the squeeze makes of it.</summary>
/// <param name="Coverage">Share of the face wet at the end, 0 to 1; absent without a pattern.</param>
/// <param name="Spill">Paste pressed over the edges.</param>
internal sealed record PasteAnswer(
    double BondLineUm,
    double PressureMPa,
    double AreaMm2,
    double VolumeMl,
    double MassG,
    double DotDiameterMm,
    double LineLengthMm,
    double CrossArmMm,
    double PlungerMm,
    double? Coverage,
    IReadOnlyList<BareSpot>? Bare,
    SpillAnswer? Spill,
    double? FinalBondLineUm,
    double? TimeS,
    IReadOnlyList<SqueezeMoment>? History,
    IReadOnlyList<string>? Film,
    IReadOnlyList<FilmFrame>? Frames,
    double? CostK,
    double? VolumeErrorShare
)
{
    /// <summary>
    /// In words, when the squeeze is more work than a moment allows: what is told is as far as it came.
    /// </summary>
    public string? CutShort { get; init; }
}

/// <param name="Edges">Share of the spill that leaves over each side.</param>
internal sealed record SpillAnswer(double Ml, double Share, IReadOnlyList<SpillEdge> Edges);

/// <summary>Paste for one face.</summary>
internal static class PasteEndpoint
{
    private const int MaxStrokes = 500,
        MaxStrokePoints = 5000;

    public const string InWords = PasteEndpointWords.LimitsCellsAlongFaceMore;

    /// <summary>One squeeze to calculate.</summary>
    internal sealed record Asked(
        Polygon Face,
        double AreaMm2,
        PasteMaterial Paste,
        double ClampN,
        double Margin,
        double BeadMm,
        PastePattern? Pattern,
        double? VolumeMl,
        SqueezeSettings Settings,
        double PowerW
    );

    public static async Task<Ok<PasteAnswer>> AnswerAsync(HttpRequest request, LibraryCache shop)
    {
        var a = await Bodies.ReadAsync(request, o => Read(o, shop));
        return TypedResults.Ok(await Task.Run(() => Compute(a, null, request.HttpContext.RequestAborted)));
    }

    internal static PasteAnswer Compute(Asked a, IProgress<double>? progress, CancellationToken cancel)
    {
        var m = PasteAmount.For(
            a.AreaMm2,
            a.Paste,
            a.ClampN,
            a.Margin,
            Core.Materials.PasteStock.DefaultBoreMm,
            a.BeadMm,
            a.Settings.CrownMm
        );
        var squeeze = a.Pattern is null
            ? null
            : SqueezeFlow.Run(
                a.Face,
                a.Paste,
                (a.VolumeMl ?? m.VolumeMl) * 1000,
                a.Pattern.Mask(m, a.BeadMm),
                a.ClampN,
                a.Settings,
                progress,
                cancel
            );
        return new(
            m.BondLineUm,
            m.PressureMPa,
            m.AreaMm2,
            m.VolumeMl,
            m.MassG,
            m.DotDiameterMm,
            m.LineLengthMm,
            m.CrossArmMm,
            m.PlungerMm,
            squeeze?.Coverage,
            squeeze?.Bare,
            squeeze is null
                ? null
                : new(squeeze.SpillMl, squeeze.SpillMl / (a.VolumeMl ?? m.VolumeMl), squeeze.SpillEdges),
            squeeze?.FinalGapUm,
            squeeze?.TimeS,
            squeeze?.History,
            squeeze?.Film,
            squeeze?.Frames,
            squeeze is null || a.PowerW <= 0
                ? null
                : BareCost.Kelvin(a.AreaMm2, squeeze.Coverage, squeeze.FinalGapUm, a.Paste, a.PowerW),
            squeeze?.VolumeErrorShare
        )
        {
            CutShort = squeeze is { CutShort: true } ? PasteEndpointWords.StoppedBeforeFilmCameToRest : null,
        };
    }

    internal static Asked Read(ObjectReader o, LibraryCache shop)
    {
        var s = o.Object("surface");
        s.OptionalText("kind");
        Polygon face;
        if (s.Has("outline"))
        {
            face = s.Polygon("outline");
            s.OptionalNumber("widthMm");
            s.OptionalNumber("depthMm");
        }
        else
            face = Polygon.Rectangle(default, s.Number("widthMm", 0.1, 1000), s.Number("depthMm", 0.1, 1000));
        s.End();
        var tilt = o.Has("tiltDeg") ? o.Numbers("tiltDeg", -5, 5) : [];
        if (tilt.Count is not (0 or 2))
            o.Fault("tiltDeg", PasteEndpointWords.ExpectedTwoTurnsXY);
        var settings = new SqueezeSettings(
            o.OptionalInteger("cells", 8, 256) ?? 96,
            tilt.Count == 2 ? new(-Math.Tan(tilt[1] * Math.PI / 180), Math.Tan(tilt[0] * Math.PI / 180)) : default,
            o.Flag("yield", true),
            o.Number("maxTimeS", 0.001, 1e6, otherwise: 600),
            o.OptionalNumber("stopGapUm", 0.1, 5000)
        )
        {
            CrownMm = o.Number("crownMm", 0, 2, otherwise: 0),
        };
        return new(
            face,
            face.Area,
            ComputeInputs.Paste(o, shop),
            o.Number("clampN", 0.1, 1e6),
            o.Number("margin", 0, 10, otherwise: 0),
            o.Number("beadMm", 0.1, 20, PasteAmount.DefaultBeadMm),
            o.OptionalObject("pattern") is { } p ? Pattern(p) : null,
            o.OptionalNumber("volumeMl", 1e-6, 1000),
            settings,
            o.Number("powerW", 0, 10_000, otherwise: 0)
        );
    }

    /// <summary>A pattern; drawn strokes are lists of [x, y] from the face's centre.</summary>
    private static PastePattern Pattern(ObjectReader p)
    {
        var kind = p.Choice<PatternKind>("kind");
        var strokes = new List<IReadOnlyList<Point2>>();
        if (p.Raw("strokes") is { } raw)
        {
            if (raw.ValueKind != System.Text.Json.JsonValueKind.Array || raw.GetArrayLength() > MaxStrokes)
                p.Fault("strokes", PasteEndpointWords.ExpectedAtMostStrokesEachList(MaxStrokes));
            else
                for (var i = 0; i < raw.GetArrayLength(); i++)
                    strokes.Add(p.PointList(raw[i], $"strokes/{i}"));
        }
        if (strokes.Sum(s => s.Count) > MaxStrokePoints)
            p.Fault("strokes", PasteEndpointWords.ExpectedAtMostPointsTogether(MaxStrokePoints));
        if (kind == PatternKind.Strokes && strokes.All(s => s.Count == 0))
            p.Fault("strokes", PasteEndpointWords.ExpectedAtLeastOneStroke);
        var at = p.Has("x") || p.Has("y") ? new Point2(p.Number("x"), p.Number("y")) : default;
        var pattern = new PastePattern(
            kind,
            p.OptionalNumber("diameterMm", 0.1, 500),
            p.OptionalNumber("lengthMm", 0.1, 1000),
            p.Number("angleDeg", -360, 360, otherwise: 0),
            strokes,
            at
        );
        p.End();
        return pattern;
    }
}
