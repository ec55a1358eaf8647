using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Bending of one board under given loads and supports.</summary>
internal static class BowEndpoint
{
    public static async Task<Ok<BowResult>> AnswerAsync(HttpRequest request)
    {
        var problem = await Bodies.ReadAsync(request, Read);
        return TypedResults.Ok(await Task.Run(() => BoardBow.Solve(problem, request.HttpContext.RequestAborted)));
    }

    private static BowProblem Read(ObjectReader o)
    {
        var material = o.Object("material");
        double e = material.Number("eMPa", 0.1, 1e6),
            nu = material.Number("nu", 0, 0.499);
        material.End();
        return new(o.Polygon("outline"), o.Number("thicknessMm", 0.05, 50), e, nu)
        {
            Edges = o.OptionalChoice<EdgeHold>("edges") ?? EdgeHold.Free,
            Supports = o.Objects(
                "supports",
                s => new BowSupport(
                    s.Number("x"),
                    s.Number("y"),
                    s.Choice<SupportKind>("kind"),
                    s.Number("diameterMm", 0, 1000, otherwise: 0)
                )
            ),
            Loads = o.Objects(
                "loads",
                l => new BowLoad(
                    l.Number("x"),
                    l.Number("y"),
                    l.Number("widthMm", 0, 10_000, otherwise: 0),
                    l.Number("depthMm", 0, 10_000, otherwise: 0),
                    l.Number("forceN")
                )
            ),
            Layers = o.Objects(
                "stiff",
                s => new BowLayer(
                    s.Polygon("outline"),
                    s.Number("thicknessMm", 0.01, 50),
                    s.Number("eMPa", 0.1, 1e6),
                    s.Number("nu", 0, 0.499, otherwise: BowLayer.UsualNu),
                    s.Number("joined", 0, 1)
                )
            ),
            PressureMPa = o.Number("pressureMPa", -1000, 1000, otherwise: 0),
            Probes = o.Points("probes"),
            Elements = o.OptionalInteger("elements", BowLimits.MinElements, BowLimits.MaxElements) ?? 2500,
        };
    }
}
