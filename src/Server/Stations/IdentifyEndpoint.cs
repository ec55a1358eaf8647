using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Identify;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Whose twin is it: holes and parts in any frame against the library.</summary>
internal static class IdentifyEndpoint
{
    private const int MaxPoints = 5000;

    public const string InWords = IdentifyEndpointWords.LimitsHolesAndPartsTogether;

    public static async Task<Ok<IdentifyResult>> AnswerAsync(HttpRequest request, TwinLibrary twins)
    {
        var (seen, sigma) = await Bodies.ReadAsync(
            request,
            o =>
            {
                var holes = o.Objects("holes", Hole);
                var parts = o.Objects("parts", Part).OfType<SeenPoint>().ToList();
                if (holes.Count + parts.Count < 3)
                    o.Fault("holes", IdentifyEndpointWords.ExpectedAtLeastThreeHoles(holes.Count + parts.Count));
                if (holes.Count + parts.Count > MaxPoints)
                    o.Fault("parts", LimitWords.ExpectedAtMostPointsFound(MaxPoints, holes.Count + parts.Count));
                return (new Constellation([.. holes, .. parts]), o.Number("sigmaMm", 0, 5, otherwise: 0.1));
            }
        );
        var cancel = request.HttpContext.RequestAborted;
        return TypedResults.Ok(
            await Task.Run(
                () =>
                {
                    var areas = new Dictionary<string, IReadOnlyList<Polygon>>();
                    return TwinSearch.Run(
                        seen,
                        sigma,
                        twins.Indexes(cancel),
                        twins.Find,
                        b => areas.TryGetValue(b.Id, out var a) ? a : areas[b.Id] = twins.UnderBlock(b, cancel)
                    );
                },
                cancel
            )
        );
    }

    /// <summary>A hole; what else a board document says of it may stand beside.</summary>
    private static SeenPoint Hole(ObjectReader o)
    {
        foreach (var known in (string[])["role", "slotMm", "slotDeg", "plated"])
            o.Raw(known);
        return new(
            o.Number("x"),
            o.Number("y"),
            true,
            o.OptionalNumber("diameterMm", 0.05, 100),
            Id: o.OptionalText("id")
        );
    }

    /// <summary>A part; those on the back or empty sites do not count.</summary>
    private static SeenPoint? Part(ObjectReader o)
    {
        foreach (
            var known in (string[])
                [
                    "widthMm",
                    "depthMm",
                    "rotationDeg",
                    "heightTolMm",
                    "cool",
                    "dissipationW",
                    "limitC",
                    "maxLoadN",
                    "maxPressureMPa",
                    "outline",
                    "under",
                    "lidThicknessMm",
                    "bondMm",
                    "powerShare",
                    "packageOutline",
                ]
        )
            o.Raw(known);
        var (kind, face) = (o.OptionalChoice<PartKind>("kind"), o.OptionalChoice<Face>("face") ?? Face.Front);
        var part = new SeenPoint(
            o.Number("x"),
            o.Number("y"),
            false,
            null,
            kind,
            o.OptionalNumber("heightMm", 0, 200),
            o.OptionalText("id")
        );
        return face == Face.Front && kind != PartKind.Empty ? part : null;
    }
}
