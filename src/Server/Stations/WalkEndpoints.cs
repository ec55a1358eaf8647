using FaithfulBracket.Core;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Back;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

internal sealed record PlannedStep(
    StepId StepId,
    Station Station,
    StepKind Kind,
    string Title,
    IReadOnlyDictionary<string, Face>? Up,
    IReadOnlyList<Act> Acts,
    IReadOnlyList<StepId> Locks
);

internal sealed record TravellerAnswer(
    IReadOnlyList<PlannedStep> Steps,
    IReadOnlyList<LooseEnd> LooseEnds,
    IReadOnlyList<Diagnostic> Troubles,
    IReadOnlyList<Cannot>? Cannot
);

/// <param name="Step">Index of the step with the act that cannot be done; null where all can.</param>
/// <param name="Needs">What it lacks.</param>
internal sealed record WalkAnswer(bool Ok, int? Step, int? Act, NeedCode? Needs, IReadOnlyList<ThingId>? Things);

/// <summary>A traveller for documents that nobody keeps, and a list of acts walked on them.</summary>
internal static class WalkEndpoints
{
    private const int MaxSteps = 2000,
        MaxActs = 500,
        MaxHoles = 200;

    public const string InWords = WalkEndpointsWords.LimitsBodyOfMiBBoardsBlocks;

    public static async Task<Ok<TravellerAnswer>> TravellerAsync(HttpRequest request, LibraryCache shop)
    {
        var (context, ask) = await Bodies.ReadAsync(request, o => (Context(o, shop), BackAsk.Read(o)));
        var plan = JobPlanner.Plan(context, request.HttpContext.RequestAborted);
        var back = ask?.Plan(context, plan);
        List<WorkStep> steps = [.. back?.Steps ?? plan.Steps];
        return TypedResults.Ok(
            new TravellerAnswer(
                steps.ConvertAll(s => new PlannedStep(s.Id, s.Station, s.Kind, s.Told, s.Up, s.Acts, s.Locks)),
                LooseEnds.Find(steps),
                plan.Troubles,
                back?.Cannot
            )
        );
    }

    public static async Task<Ok<WalkAnswer>> WalkAsync(HttpRequest request, LibraryCache shop)
    {
        var (context, ask, steps) = await Bodies.ReadAsync(request, o => (Context(o, shop), BackAsk.Read(o), Steps(o)));
        var plan = JobPlanner.Plan(context, request.HttpContext.RequestAborted);
        var (scene, start) = ask?.Plan(context, plan) is { } back ? (back.Scene, back.Start) : Stock(context, plan);
        var (_, contradiction) = BenchWalk.Run(scene, start, steps, cancel: request.HttpContext.RequestAborted);
        return TypedResults.Ok(
            contradiction is { } c
                ? new WalkAnswer(false, c.Step, c.Act, c.Unmet.Code, c.Unmet.Things)
                : new WalkAnswer(true, null, null, null, null)
        );
    }

    private static (Scene, BenchState) Stock(JobContext context, JobPlan plan)
    {
        var scene = BenchScene.Create(context.Order, plan);
        return (scene, BenchState.Create(scene));
    }

    private static JobContext Context(ObjectReader o, LibraryCache shop) =>
        new()
        {
            Order = OrderBodies.Order(o, shop),
            Shop = shop.Settings,
            Drawer = OrderBodies.Drawer(o, shop),
            Ways = Ways(o),
        };

    private static Dictionary<string, string> Ways(ObjectReader o)
    {
        var ways = new Dictionary<string, string>();
        if (o.Raw("ways") is { ValueKind: System.Text.Json.JsonValueKind.Object } chosen)
            foreach (var way in chosen.EnumerateObject())
                ways[way.Name] =
                    way.Value.ValueKind == System.Text.Json.JsonValueKind.String ? way.Value.GetString()! : "";
        return ways;
    }

    private static List<WalkStep> Steps(ObjectReader o)
    {
        var steps = o.Objects("steps", s => new WalkStep(s.Objects("acts", Act), Up(s)));
        if (steps.Count > MaxSteps || steps.Exists(s => s.Acts.Count > MaxActs))
            o.Fault("steps", WalkEndpointsWords.ExpectedAtMostStepsOfActs(MaxSteps, MaxActs));
        return steps;
    }

    private static Dictionary<string, Face>? Up(ObjectReader step)
    {
        if (step.Raw("up") is not { ValueKind: System.Text.Json.JsonValueKind.Object } stated)
            return null;
        var up = new Dictionary<string, Face>();
        foreach (var board in stated.EnumerateObject())
        {
            var text = board.Value.ValueKind == System.Text.Json.JsonValueKind.String ? board.Value.GetString() : null;
            // at the edge both faces can be reached
            if (text == "edge")
                continue;
            if (text is null || !EnumNames<Face>.TryParse(text, out var face))
                step.FaultAt($"up/{board.Name}", WalkEndpointsWords.ExpectedFrontBackOrEdge);
            else
                up[board.Name] = face;
        }
        return up;
    }

    private static Act Act(ObjectReader a)
    {
        var at = a.Has("at") ? a.Texts("at") : null;
        if (at?.Count > MaxHoles)
            a.Fault("at", WalkEndpointsWords.ExpectedAtMostHoles(MaxHoles));
        return new(
            a.Choice<Verb>("do"),
            Thing(a, "thing", a.Text("thing", ThingId.MaxLength)),
            a.OptionalText("to", ThingId.MaxLength) is { } to ? Thing(a, "to", to) : null,
            a.OptionalInteger("count", 0, 10_000),
            a.OptionalNumber("turns", 0, 1000),
            at,
            a.OptionalChoice<Face>("from")
        );
    }

    private static ThingId Thing(ObjectReader a, string field, string text)
    {
        if (!ThingId.TryParse(text, out var id))
            a.Fault(field, WalkEndpointsWords.IsNotIdOfThingSuch(text));
        return id;
    }
}
