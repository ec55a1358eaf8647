using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Words.Plans;

namespace FaithfulBracket.Core.Plans;

/// <summary>How a station stands.</summary>
/// <param name="Summary">Outcome once signed, progress while under way, else what the station waits for.</param>
/// <param name="LookAgain">Signed steps that rest on something that changed since.</param>
public sealed record StationState(
    Station Station,
    Message Summary,
    bool Trouble,
    int Steps,
    int SignedSteps,
    bool Complete,
    int LookAgain,
    string? By,
    string? At
);

/// <summary>The route card: nine stations with their outcome in words.</summary>
public static class RouteCard
{
    public static IReadOnlyList<StationState> Create(JobPlan plan, IReadOnlyList<StepStand> stands) =>
        [.. plan.Stations.Select(s => State(plan, s, [.. stands.Where(x => x.Station == s.Station)]))];

    private static StationState State(JobPlan plan, StationPlan station, List<StepStand> stands)
    {
        var signed = stands.Where(x => x.Signed).ToList();
        // a station with nothing to do is done once the block is chosen
        var complete =
            station.Steps.Count > 0
                ? signed.Count == station.Steps.Count
                : !station.Trouble && plan.Match.Order is not null;
        var again = signed.Count(s => s.LookAgain);
        var last = signed.MaxBy(x => x.At);
        return new(
            station.Station,
            again > 0 ? (Message)$"look again at {HowMany.Count(again, "step")}" : Words(station, signed, complete),
            again > 0 || station.Trouble && !complete,
            station.Steps.Count,
            signed.Count,
            complete,
            again,
            last?.By,
            last?.At
        );
    }

    private static Message Words(StationPlan station, List<StepStand> signed, bool complete)
    {
        if (station.Station == Station.Teardown && signed.Count > 0)
            return station.Steps.Sum(x => x.Count ?? 0) is > 0 and var screws
                ? StationStateWords.OfScrewsInTray(signed.Sum(x => x.Count ?? 0), screws)
                : (Message)$"{signed.Count} of {station.Steps.Count} steps signed";
        return complete || signed.Count == 0 || station.Trouble
            ? station.Summary
            : (Message)$"{signed.Count} of {station.Steps.Count} steps signed";
    }
}
