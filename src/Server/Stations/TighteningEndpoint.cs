using System.Text.Json.Serialization;
using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards.Bow;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words.Stations;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>A pressure that the model can tell; null with the words past the strength of what is pressed.</summary>
internal sealed record TightenedWorst(
    double TiltDeg,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] double? PeakMPa,
    string? PeakText
);

internal sealed record TightenedMove(
    string Hole,
    int Pass,
    double Turns,
    double LoadN,
    double TorqueNm,
    double TiltDeg,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] double? PeakMPa,
    string Plate,
    bool Home
);

internal sealed record TightenedPass(double Turns, IReadOnlyList<TightenedMove> Moves);

/// <param name="Within">Whether tilt, load and pressure kept their limits in every move.</param>
/// <param name="Home">Whether every screw came home.</param>
/// <param name="Reason">The limit that no chain of passes keeps: tilt, load or pressure.</param>
internal sealed record TighteningAnswer(
    IReadOnlyList<string> Order,
    IReadOnlyList<TightenedMove> Moves,
    TightenedWorst Worst,
    double RecommendedTurns,
    IReadOnlyList<TightenedPass> Passes,
    bool Within,
    bool Home,
    string? Reason,
    double TiltLimitDeg,
    double? PeakLimitMPa,
    TightenedWorst? OneCornerFirst,
    string Summary
);

/// <summary>The screws of a block turned home, nothing stored.</summary>
internal static class TighteningEndpoint
{
    private const int MaxAmounts = 400;

    private const string Fewest = "fewest";

    public static async Task<Ok<TighteningAnswer>> AnswerAsync(HttpRequest request, LibraryCache shop)
    {
        var (input, turns, order, amounts, fewest) = await Bodies.ReadAsync(
            request,
            o =>
                (
                    ComputeInputs.Stack(o, shop),
                    o.OptionalNumber("turnsPerMove", 0.01, 100),
                    o.Has("order") ? o.Texts("order") : null,
                    Amounts(o),
                    IsFewest(o)
                )
        );
        var stack = input.Laid().WhileMounting(screwsIn: true);
        var cancel = request.HttpContext.RequestAborted;
        return TypedResults.Ok(
            await Task.Run(
                () =>
                    Answer(
                        fewest || amounts is not null
                            ? Tightening.Passes(stack, amounts, order, cancel: cancel)
                            : Tightening.Simulate(stack, turns, order, cancel: cancel)
                    ),
                cancel
            )
        );
    }

    private static List<double>? Amounts(ObjectReader o)
    {
        if (!o.Has("amounts"))
            return null;
        var amounts = o.Numbers("amounts", 0.001, 100);
        if (amounts.Count is 0 or > MaxAmounts)
            o.Fault("amounts", TighteningEndpointWords.ExpectedToTurnsFound(MaxAmounts, amounts.Count));
        if (o.Has("turnsPerMove"))
            o.Fault("amounts", TighteningEndpointWords.ExpectedAmountsOrTurnsPerMoveNotBoth);
        return amounts;
    }

    private static bool IsFewest(ObjectReader o)
    {
        if (o.OptionalText("passes", 20) is not { } passes)
            return false;
        if (passes != Fewest)
            o.Fault("passes", $"Expected \"{Fewest}\", found \"{passes}\".");
        if (o.Has("amounts") || o.Has("turnsPerMove"))
            o.Fault("passes", TighteningEndpointWords.ExpectedPassesAmountsOrTurnsPerMove);
        return true;
    }

    private static TighteningAnswer Answer(TighteningResult r)
    {
        TightenedMove Move(TighteningMove m) =>
            new(m.Hole, m.Pass, m.Turns, m.LoadN, m.TorqueNm, m.TiltDeg, Stated(m.PeakMPa, r), m.Plate, m.Home);
        TightenedWorst Worst(Worst w) =>
            new(w.TiltDeg, Stated(w.PeakMPa, r), r.PressesDie ? EdgePressure.InWords(w.PeakMPa, r.PeakLimitMPa) : null);
        var passes =
            r.PassList.Count > 0
                ? r.PassList
                : [.. r.Moves.GroupBy(m => m.Pass, (_, moves) => new TighteningPass(r.TakenTurns, [.. moves]))];
        return new(
            r.Order,
            [.. r.Moves.Select(Move)],
            Worst(r.Worst),
            r.RecommendedTurns,
            [.. passes.Select(p => new TightenedPass(p.Turns, [.. p.Moves.Select(Move)]))],
            r.Within,
            r.Home,
            r.Broken,
            r.TiltLimitDeg,
            r.PeakLimitMPa,
            r.OneCornerFirst is { } corner ? Worst(corner) : null,
            r.Summary
        );
    }

    private static double? Stated(double peakMPa, TighteningResult r) =>
        EdgePressure.Check(peakMPa, r.PeakLimitMPa) == Validity.Ok ? peakMPa : null;
}
