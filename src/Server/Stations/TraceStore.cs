using System.Collections.Concurrent;
using System.Text;
using System.Text.Json;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Trace;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>What was found and marked in a photo.</summary>
internal sealed record TraceState(
    IReadOnlyList<FoundMark> Marks,
    IReadOnlyList<PhotoFeature> Features,
    int QuarterTurns,
    string Maker,
    string Model,
    string BoardCode,
    string Revision
)
{
    public static TraceState Fresh(IReadOnlyList<FoundMark> marks) =>
        new(marks, [], 0, "unknown maker", "Traced board", "none", "none");
}

internal sealed record TraceView(
    long Id,
    int WidthPx,
    int HeightPx,
    long Version,
    string By,
    string At,
    TraceState State
);

internal sealed record TraceEntry(long Id, string Model, string At, int Features);

/// <param name="Matches">Every block judged, least change first.</param>
/// <param name="Next">What to measure for the best of them.</param>
internal sealed record TraceAnswer(
    Board? Board,
    string? Document,
    TraceResult Trace,
    double? SigmaMm,
    IReadOnlyList<MatchEntry> Matches,
    FitResult? Fit,
    IReadOnlyList<Measure> Next,
    string? Trouble
);

internal sealed record Click(double UPx, double VPx, double ReachPx);

/// <param name="DiameterMm">Of the hole on the board's surface; null when nothing was found or the marks do not define a view.</param>
internal sealed record SnapAnswer(double UPx, double VPx, double? DiameterMm, bool Snapped);

internal sealed record MirrorAsk(string FeatureId);

/// <summary>Photos to trace boards from: kept with what was marked, calculated on demand.</summary>
internal static class TraceStore
{
    private static readonly ConcurrentDictionary<string, GreyPicture> Recent = new();

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/target.svg", () => Results.Text(TargetSvg.Draw(), "image/svg+xml", Encoding.UTF8))
            .WithTags("trace")
            .Produces<string>(200, "image/svg+xml");
        var api = app.MapGroup("/api/traces").WithTags("trace");
        api.MapPost("", AddAsync).Accepts<IFormFile>("image/jpeg", "image/png").Produces<TraceView>(201);
        api.MapGet(
            "",
            (Traces traces) =>
                TypedResults.Ok(
                    traces
                        .All()
                        .Select(r =>
                        {
                            var s = State(r);
                            return new TraceEntry(r.Id, s.Model, r.At, s.Features.Count);
                        })
                )
        );
        api.MapGet(
            "/{id:long}",
            (long id, Traces traces, HttpResponse response) => Tagged(View(traces.Get(id)), response)
        );
        api.MapGet(
            "/{id:long}/photo",
            (long id, Traces traces, PhotoFolder shelf, HttpResponse response) =>
            {
                var r = traces.Get(id);
                return PhotoEndpoints.Serve(response, shelf.PathOf(r.File), r.MediaType);
            }
        );
        api.MapPut("/{id:long}", ChangeAsync).Accepts<TraceState>("application/json");
        api.MapPost("/{id:long}/snap", SnapAsync).Accepts<Click>("application/json");
        api.MapPost("/{id:long}/mirror", MirrorAsync).Accepts<MirrorAsk>("application/json");
        api.MapGet("/{id:long}/calculate", Compute);
    }

    private static TraceState State(TraceRow r) =>
        JsonSerializer.Deserialize<TraceState>(r.State, DocumentJson.Options)!;

    private static TraceView View(TraceRow r) =>
        new(r.Id, (int)r.WidthPx, (int)r.HeightPx, r.Version, r.ByInitials, r.At, State(r));

    private static Ok<TraceView> Tagged(TraceView v, HttpResponse response)
    {
        Versions.Tag(response, v.Version);
        return TypedResults.Ok(v);
    }

    private static GreyPicture Picture(TraceRow r, PhotoFolder shelf)
    {
        if (Recent.TryGetValue(r.File, out var known))
            return known;
        if (Recent.Count > 3)
            Recent.Clear();
        return Recent[r.File] = PhotoPixels.Grey(
            shelf.Read(r.File) ?? throw new NotFoundException(TraceStoreWords.ThisPhotosFileIsGone)
        );
    }

    private static async Task<IResult> AddAsync(string by, HttpRequest request, Traces traces)
    {
        JobEndpoints.CheckInitials(by);
        return await KeepAsync(await PhotoEndpoints.TakeAsync(request), by, request.HttpContext, traces);
    }

    /// <summary>Lays a picture on the desk, its marks found.</summary>
    internal static async Task<IResult> KeepAsync(KeptPhoto photo, string by, HttpContext context, Traces traces)
    {
        var picture = await Task.Run(() => PhotoPixels.Grey(photo.Content));
        var marks = await Task.Run(() => MarkFinder.Find(picture, context.RequestAborted));
        var id = traces.Add(
            photo.Content,
            photo.MediaType,
            photo.Extension,
            picture.Width,
            picture.Height,
            JsonSerializer.Serialize(TraceState.Fresh(marks), DocumentJson.Options),
            by
        );
        var view = View(traces.Get(id));
        Recent[traces.Get(id).File] = picture;
        Versions.Tag(context.Response, view.Version);
        return TypedResults.Created($"/api/traces/{id}", view);
    }

    private static async Task<Ok<TraceView>> ChangeAsync(long id, HttpRequest request, Traces traces)
    {
        var state = await Bodies.ReadAsync(request, Read);
        traces.Change(id, Versions.Expected(request), JsonSerializer.Serialize(state, DocumentJson.Options));
        return Tagged(View(traces.Get(id)), request.HttpContext.Response);
    }

    private const int MaxFeatures = 2000,
        MaxPx = 100_000;

    private static TraceState Read(ObjectReader o)
    {
        foreach (var list in (string[])["marks", "features"])
            if (!o.Has(list))
                o.Fault(list, "Missing: expected a list.");
        var marks = o.Objects(
            "marks",
            m => new FoundMark(
                m.Integer("id", 1, 1000),
                m.Number("xMm", -5000, 5000),
                m.Number("yMm", -5000, 5000),
                m.Number("uPx", -MaxPx, MaxPx),
                m.Number("vPx", -MaxPx, MaxPx)
            )
        );
        var features = o.Objects("features", Feature);
        if (features.Count > MaxFeatures)
            o.Fault("features", TraceStoreWords.ExpectedAtMostHolesAndParts(MaxFeatures, features.Count));
        foreach (var twice in features.GroupBy(f => f.Id).Where(g => g.Count() > 1))
            o.Fault("features", TraceStoreWords.NameStandsTwice(twice.Key));
        foreach (var twice in marks.GroupBy(m => m.Id).Where(g => g.Count() > 1))
            o.Fault("marks", TraceStoreWords.MarkStandsTwice(twice.Key));
        return new(
            marks,
            features,
            o.OptionalInteger("quarterTurns", 0, 3) ?? 0,
            o.Text("maker"),
            o.Text("model"),
            o.Text("boardCode"),
            o.Text("revision")
        );
    }

    private static PhotoFeature Feature(ObjectReader f)
    {
        var hole = f.Flag("isHole", true);
        if (!hole && !(f.Has("oppositeUPx") && f.Has("oppositeVPx")))
            f.Fault("oppositeUPx", TraceStoreWords.PartNeedsTwoOppositeCorners);
        double Px(string name) => f.Number(name, -MaxPx, MaxPx);
        return new(
            f.Text("id", 50),
            hole,
            Px("uPx"),
            Px("vPx"),
            f.OptionalNumber("oppositeUPx", -MaxPx, MaxPx),
            f.OptionalNumber("oppositeVPx", -MaxPx, MaxPx),
            f.OptionalChoice<PartKind>("kind"),
            f.OptionalChoice<HoleRole>("role"),
            f.OptionalNumber("diameterMm", 0.1, 50),
            f.OptionalNumber("heightMm", 0, 100),
            f.OptionalNumber("heightTolMm", 0, 10)
        );
    }

    private static async Task<Ok<SnapAnswer>> SnapAsync(long id, HttpRequest request, Traces traces, PhotoFolder shelf)
    {
        var click = await Bodies.ReadAsync(
            request,
            o => new Click(o.Number("uPx", -MaxPx, MaxPx), o.Number("vPx", -MaxPx, MaxPx), o.Number("reachPx", 1, 1000))
        );
        var row = traces.Get(id);
        var snap = HoleSnap.Find(Picture(row, shelf), click.UPx, click.VPx, Math.Clamp(click.ReachPx, 4, 90));
        return TypedResults.Ok(new SnapAnswer(snap.UPx, snap.VPx, DiameterMm(row, snap), snap.Snapped));
    }

    /// <summary>To a tenth: a photo tells no more.</summary>
    private static double? DiameterMm(TraceRow row, SnapResult snap)
    {
        if (!snap.Snapped)
            return null;
        try
        {
            return Math.Round(
                snap.DiameterPx * PhotoTrace.MmPerPx(Target(State(row)), snap.UPx, snap.VPx, row.WidthPx, row.HeightPx),
                1
            );
        }
        catch (InputException)
        {
            return null;
        }
    }

    private static List<TargetMark> Target(TraceState s) =>
        s.Marks.Select(m => new TargetMark(m.XMm, m.YMm, m.UPx, m.VPx)).ToList();

    private static Ok<TraceAnswer> Compute(long id, Traces traces, LibraryCache shop, CancellationToken cancel)
    {
        var row = traces.Get(id);
        var s = State(row);
        var target = Target(s);
        try
        {
            var trouble =
                s.Features.Count < 3 ? TraceStoreWords.MarkHolesAndParts(s.Features.Count)
                : s.Features.Select(f => f.Missing()).OfType<string>().Take(4).ToList() is { Count: > 0 } missing
                    ? TraceStoreWords.PutCaliperOn(string.Join(", ", missing))
                : null;
            if (trouble is not null)
                return TypedResults.Ok(
                    new TraceAnswer(
                        null,
                        null,
                        PhotoTrace.Run(target, [.. s.Features.SelectMany(f => f.Clicks())], row.WidthPx, row.HeightPx),
                        null,
                        [],
                        null,
                        [],
                        trouble
                    )
                );
            var slug = $"traced-{id}";
            var names = new Board
            {
                Id = slug,
                Maker = s.Maker,
                Model = s.Model,
                BoardCode = s.BoardCode,
                Revision = s.Revision,
                Kind = BoardKind.GraphicsCard,
                Outline = Polygon.Rectangle(default, 1, 1),
                ThicknessMm = 1.6,
            };
            var traced = TracedBoard.Create(target, s.Features, row.WidthPx, row.HeightPx, s.QuarterTurns, names);
            var judged = FitSettings.From(shop.Settings);
            var scan = FitScan.Run(traced.Board, [.. shop.BlocksInUse.Values], judged, cancel);
            var matches = LibraryEndpoints.Sorted(scan.Select(e => (traced.Board, e)));
            var best = scan.FirstOrDefault(e => e.Block.Id == matches.FirstOrDefault()?.BlockId && e.Fit is not null);
            var next = best is null ? [] : NextMeasure.For(traced.Board, best.Block, best.Fit!, judged, cancel);
            return TypedResults.Ok(
                new TraceAnswer(
                    traced.Board,
                    Encoding.UTF8.GetString(DocumentWriter.Write(traced.Board)),
                    traced.Trace,
                    traced.SigmaMm,
                    matches,
                    best?.Fit,
                    next,
                    null
                )
            );
        }
        catch (InputException e)
        {
            return TypedResults.Ok(
                new TraceAnswer(
                    null,
                    null,
                    new([], 0, null, 0, 0, [0, 0, 0], 0),
                    null,
                    [],
                    null,
                    [],
                    e.Faults[0].Message
                )
            );
        }
    }

    /// <summary>The hole mirrored about the die's axes, each place snapped to what the photo shows there.</summary>
    private static async Task<Ok<List<PhotoFeature>>> MirrorAsync(
        long id,
        HttpRequest request,
        Traces traces,
        PhotoFolder shelf
    )
    {
        var ask = await Bodies.ReadAsync(request, o => new MirrorAsk(o.Text("featureId", 50)));
        var row = traces.Get(id);
        var s = State(row);
        var target = Target(s);
        var hole =
            s.Features.FirstOrDefault(f => f.Id == ask.FeatureId && f.IsHole)
            ?? throw new InputException("/featureId", TraceStoreWords.ThereIsNoHole(ask.FeatureId));
        var die =
            s.Features.FirstOrDefault(f => !f.IsHole && f.Kind is PartKind.Die or PartKind.Lid)
            ?? throw new InputException("/featureId", TraceStoreWords.MarkDieFirst);
        var points = PhotoTrace.Run(target, [.. hole.Clicks(), .. die.Clicks()], row.WidthPx, row.HeightPx).Points;
        Point2 At(int i) => new(points[i].XMm, points[i].YMm);
        var centre = (At(1) + At(2)) * 0.5;
        var turn = TracedBoard.TurnOf(target, s.Features, row.WidthPx, row.HeightPx);
        var local = (At(0) - centre).Turned(turn);
        Point2[] mirrored = [new(-local.X, local.Y), new(-local.X, -local.Y), new(local.X, -local.Y)];
        var places = PhotoTrace.Project(
            target,
            [.. mirrored.Select(m => centre + m.Turned(-turn))],
            row.WidthPx,
            row.HeightPx
        );
        var picture = Picture(row, shelf);
        var number = s.Features.Count(f => f.IsHole);
        return TypedResults.Ok(
            places
                .Select(p => HoleSnap.Find(picture, p.X, p.Y, row.WidthPx / 90.0))
                .Select(snap =>
                    hole with
                    {
                        Id = $"H{++number}",
                        UPx = snap.UPx,
                        VPx = snap.VPx,
                        DiameterMm = DiameterMm(row, snap),
                    }
                )
                .Where(f =>
                    !s.Features.Any(k => k.IsHole && Math.Abs(k.UPx - f.UPx) < 8 && Math.Abs(k.VPx - f.VPx) < 8)
                )
                .ToList()
        );
    }
}
