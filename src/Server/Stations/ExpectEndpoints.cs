using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <param name="Kinds">The hottest of each kind of part.</param>
/// <param name="Watts">Heat that the block takes.</param>
/// <param name="BoardW">Heat of all parts of the board.</param>
/// <param name="PadWPerMK">Of the pad that most parts have; null without pads.</param>
/// <param name="PasteWPerMK">Null where no paste is needed.</param>
/// <param name="Map">The cold plate as it is drawn; null unless asked for.</param>
internal sealed record JobExpectation(
    HeatConditions Conditions,
    double Watts,
    ExpectResult Result,
    IReadOnlyList<ExpectedKind> Kinds,
    double BoardW,
    double? PadWPerMK,
    double? PasteWPerMK,
    HeatMap? Map
);

/// <summary>Conditions that are tried; what is absent stands as planned.</summary>
internal sealed record TriedHeat(
    double? FlowLMin,
    double? CoolantInC,
    double? PowerW,
    double? PadWPerMK,
    double? PasteWPerMK
)
{
    public void Check()
    {
        Within("flowLMin", FlowLMin, 0.1, 30, ExpectEndpointsWords.FlowFromToLMin);
        Within("coolantInC", CoolantInC, -20, 90, "coolant from −20 to 90 °C");
        Within("powerW", PowerW, 1, 3000, "1 to 3,000 W");
        Within("padWPerMK", PadWPerMK, 0.2, 100, "pads of 0.2 to 100 W/(m·K)");
        Within("pasteWPerMK", PasteWPerMK, 0.2, 200, "paste of 0.2 to 200 W/(m·K)");
    }

    private static void Within(string field, double? value, double least, double most, string expected)
    {
        if (value is not null && !(value >= least && value <= most))
            throw new InputException($"?{field}", $"Expected {expected}.");
    }
}

/// <summary>What the parts of a job will run at, as it is planned to rest or under other conditions; changes nothing.</summary>
internal static class ExpectEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("what if");
        job.MapGet("/expect", Expected);
        job.MapGet("/pastes", Pastes);
    }

    private static Ok<JobExpectation> Expected(
        long id,
        [AsParameters] TriedHeat tried,
        string? pair,
        string? board,
        bool? map,
        JobPlans plans,
        JobEntries papers,
        PlateMemory plates,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        tried.Check();
        var job = plans.Today(id, cancel);
        var pads =
            job.Plan.Pads.Pairs.FirstOrDefault(p =>
                (pair is null || p.Pair == pair) && (board is null || p.Board == board) && ExpectedOf.Possible(p)
            ) ?? throw new InputException("", ExpectEndpointsWords.ChooseBlockAndPaste);
        var on = ExpectedOf.Board(pads);
        var after = JobReadings.After(papers.Readings(id), pads.Board, job, shop.Settings);
        var asMeasured = JobConditions.From(after, shop.Settings, on);
        var at = new HeatConditions(
            tried.PowerW ?? asMeasured.PowerW,
            tried.CoolantInC ?? asMeasured.CoolantInC,
            tried.FlowLMin ?? asMeasured.FlowLMin
        );
        var materials = pads.Carried?.Materials ?? pads.Stack!.Materials;
        if (tried.PadWPerMK is { } k)
            materials = materials.ToDictionary(m => m.Key, m => m.Value with { ConductivityWPerMK = k });
        var paste = pads.Stack?.Paste;
        if (tried.PasteWPerMK is { } p)
            paste = paste is null ? null : paste with { ConductivityWPerMK = p };
        var result = ExpectedOf.Compute(pads, at, plates.Compute, materials, paste, cancel);
        var plate =
            map == true && pads.Stack is { } stack
                ? plates.Compute(stack.Laid, at.FlowLMin, cancel).At(at.PowerW)
                : null;
        return TypedResults.Ok(
            new JobExpectation(
                at,
                result.Parts.Where(x => on.FindPart(x.Part)?.Under is null).Sum(x => x.Watts),
                result,
                ExpectedKinds.Compute(on, result),
                at.PowerW ?? on.Parts.Where(x => x.Kind != PartKind.Empty).Sum(x => x.DissipationW),
                tried.PadWPerMK ?? UsualPad(pads.Carried?.Pads ?? pads.Stack!.Pads, materials),
                paste?.ConductivityWPerMK,
                plate is null ? null : HeatMap.From(plate, result.CoolantMeanC)
            )
        );
    }

    /// <summary>The pad that most parts have, W/(m·K).</summary>
    private static double? UsualPad(IReadOnlyList<LaidPad> pads, IReadOnlyDictionary<string, PadMaterial> materials) =>
        pads.GroupBy(p => p.Material)
            .OrderByDescending(g => g.Count())
            .Select(g => materials.GetValueOrDefault(g.Key))
            .Select(m => m?.ConductivityWPerMK ?? m?.ClaimedWPerMK)
            .FirstOrDefault();

    /// <summary>What each paste in the drawer would cost in kelvin at the dies.</summary>
    private static Ok<IReadOnlyList<PasteCost>> Pastes(
        long id,
        string? pair,
        string? board,
        JobPlans plans,
        PlateMemory plates,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var stack = WhatIfEndpoints.Seated(plans.Today(id, cancel).Plan, pair, board).Stack!;
        var usual = shop.Settings;
        var at = new HeatConditions(null, usual.CoolantInC, usual.FlowLPerMin);
        var plate = plates.Compute(stack.Laid, at.FlowLMin, cancel);
        return TypedResults.Ok(PasteCosts.Compute(plate, stack, shop.Drawer.Pastes, at));
    }
}
