using System.Text.Json.Serialization;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Prove.Faults;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>Heat in a cold plate, nothing stored.</summary>
internal static class HeatEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var queue = app.ServiceProvider.GetRequiredService<ConcurrencyLimiter>();
        var compute = app.MapGroup("/api/compute").WithTags("compute").AddEndpointFilter(queue.QueueAsync);
        compute
            .MapPost("/plate-heat", PlateAsync)
            .Accepts<System.Text.Json.JsonElement>("application/json")
            .WithDescription(PlateHeat.InWords);
        compute
            .MapPost("/expect", ExpectAsync)
            .Accepts<System.Text.Json.JsonElement>("application/json")
            .WithDescription(Expect.InWords);
        compute
            .MapPost("/faults", FaultsAsync)
            .Accepts<System.Text.Json.JsonElement>("application/json")
            .WithDescription(FaultFinder.InWords);
    }

    private static async Task<Ok<FaultResult>> FaultsAsync(HttpRequest request, LibraryCache shop)
    {
        var (board, block, pads, materials, paste, at, readings, looks) = await Bodies.ReadAsync(
            request,
            o =>
                (
                    ComputeInputs.Board(o),
                    ComputeInputs.Block(o),
                    o.Has("pads") ? ComputeInputs.Pads(o) : null,
                    ComputeInputs.Materials(o, shop),
                    ComputeInputs.Paste(o, shop),
                    Conditions(o.Object("conditions")),
                    Readings(o),
                    o.Has("looks")
                        ? o.Objects("looks", l => new ImprintLook(l.Text("part"), l.Choice<ImprintMark>("mark")))
                        : []
                )
        );
        var cancel = request.HttpContext.RequestAborted;
        return TypedResults.Ok(
            await Task.Run(
                () =>
                    FaultFinder.Find(
                        LaidBlock.Create(board, block),
                        pads,
                        materials,
                        paste,
                        at,
                        readings,
                        FaultPriors.From(new ShopSettings().Faults),
                        looks,
                        cancel: cancel
                    ),
                cancel
            )
        );
    }

    private static List<SensorReading> Readings(ObjectReader o)
    {
        var readings = o.Objects(
            "readings",
            r => new SensorReading(
                r.Texts("parts"),
                r.OptionalChoice<SensorKind>("kind") ?? SensorKind.Mean,
                r.Number("c", -60, 400),
                r.Number("sigmaK", 0.01, 100, otherwise: 1)
            )
        );
        if (readings.Count is 0 or > FaultFinder.MaxReadings)
            o.Fault("readings", LimitWords.ExpectedToReadingsFound(FaultFinder.MaxReadings, readings.Count));
        return readings;
    }

    /// <summary>One part with watts; nothing but its name where a warning says why nothing is told.</summary>
    internal sealed record ExpectedAnswerPart(
        string Part,
        [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] double? C,
        double? LandC,
        double? ThroughK,
        double? LimitC,
        double Watts,
        double? RangeK
    );

    internal sealed record ExpectAnswer(
        double CoolantRiseK,
        double CoolantMeanC,
        IReadOnlyList<ExpectedAnswerPart> Parts,
        IReadOnlyList<string> Warnings
    );

    private static ExpectAnswer Answer(ExpectResult r) =>
        new(
            r.CoolantRiseK,
            r.CoolantMeanC,
            [
                .. r.Parts.Select(p => new ExpectedAnswerPart(
                    p.Part,
                    p.C,
                    p.LandC,
                    p.ThroughK,
                    p.LimitC,
                    p.Watts,
                    p.RangeK
                )),
                .. r.Untold.Select(p => new ExpectedAnswerPart(p.Id, null, null, null, p.LimitC, p.DissipationW, null)),
            ],
            [.. r.Warnings]
        );

    private static async Task<Ok<ExpectAnswer>> ExpectAsync(HttpRequest request, LibraryCache shop)
    {
        var (board, block, pads, materials, paste, at) = await Bodies.ReadAsync(
            request,
            o =>
                (
                    ComputeInputs.Board(o),
                    ComputeInputs.Block(o),
                    o.Has("pads") ? ComputeInputs.Pads(o) : null,
                    ComputeInputs.Materials(o, shop),
                    ComputeInputs.Paste(o, shop),
                    Conditions(o.Object("conditions"))
                )
        );
        var cancel = request.HttpContext.RequestAborted;
        return TypedResults.Ok(
            await Task.Run(
                () => Answer(Expect.Compute(LaidBlock.Create(board, block), pads, materials, paste, at, cancel)),
                cancel
            )
        );
    }

    private static HeatConditions Conditions(ObjectReader o)
    {
        var at = new HeatConditions(
            o.OptionalNumber("powerW", 0.1, 10_000),
            o.Number("coolantInC", -50, 120),
            o.Number("flowLMin", 0.01, 100)
        );
        o.End();
        return at;
    }

    private static async Task<Ok<PlateHeatResult>> PlateAsync(HttpRequest request)
    {
        var ask = await Bodies.ReadAsync(request, Read);
        return TypedResults.Ok(await Task.Run(() => PlateHeat.Compute(ask, request.HttpContext.RequestAborted)));
    }

    private static PlateHeatAsk Read(ObjectReader o)
    {
        var ask = new PlateHeatAsk(
            o.Polygon("outline"),
            o.Number("thicknessMm", 0.01, 100),
            o.Number("kWPerMK", 0.01, 5000),
            o.OptionalNumber("hWPerM2K", 0, 1e7),
            o.Has("cooled") ? o.Objects("cooled", Cooled) : [],
            o.Objects("sources", Source),
            o.Number("coolantC", -50, 200),
            o.Has("probes") ? o.Points("probes") : [],
            o.OptionalNumber("cellMm", 0.02, 50)
        );
        Most("sources", ask.Sources.Count, PlateHeat.MaxSources);
        Most("cooled", ask.Cooled.Count, PlateHeat.MaxAreas);
        Most("probes", ask.Probes.Count, PlateHeat.MaxProbes);
        if (ask.HWPerM2K is null && ask.Cooled.Count == 0)
            o.Fault("hWPerM2K", HeatEndpointsWords.ExpectedHWPerM2KOverWholePlate);
        return ask;

        void Most(string field, int found, int most)
        {
            if (found > most)
                o.Fault(field, LimitWords.ExpectedAtMostFound(most, found));
        }
    }

    private static CooledArea Cooled(ObjectReader o) => new(o.Polygon("outline"), o.Number("hWPerM2K", 0, 1e7));

    private static HeatSource Source(ObjectReader o) =>
        new(
            o.Number("x"),
            o.Number("y"),
            o.Number("widthMm", 0.01, 2000),
            o.Number("depthMm", 0.01, 2000),
            o.Number("watts", 0, 10_000)
        );
}
