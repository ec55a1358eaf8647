using FaithfulBracket.Core;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Moment;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

/// <summary>One step whole: what is done, how it stands, who signed it.</summary>
internal sealed record TravellerStep(
    StepId StepId,
    Station Station,
    StepKind Kind,
    string Title,
    string? Detail,
    string? Caution,
    string? Feel,
    string CompleteLabel,
    IReadOnlyList<Act> Acts,
    IReadOnlyDictionary<string, Face>? Up,
    int? Count,
    int? Pass,
    int? Passes,
    IReadOnlyList<StepId> Locks,
    bool Signed,
    string? By,
    string? At,
    int Version,
    bool LookAgain,
    IReadOnlyList<string>? Changed
)
{
    public static TravellerStep From(WorkStep step, StepStand stand) =>
        new(
            step.Id,
            step.Station,
            step.Kind,
            step.Told,
            step.Detail,
            step.Caution,
            step.Feel,
            step.Done,
            step.Acts,
            step.Up,
            step.Count,
            step.Pass,
            step.Passes,
            step.Locks,
            stand.Signed,
            stand.By,
            stand.At,
            stand.Version,
            stand.LookAgain,
            stand.Changed.Count > 0 ? stand.Changed : null
        );
}

/// <summary>A job's steps in working order, and what they leave open.</summary>
internal static class TravellerEndpoints
{
    public static void Map(IEndpointRouteBuilder app)
    {
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("jobs");
        job.MapGet("/steps", Steps);
        job.MapGet("/loose-ends", Open);
        job.MapGet("/bench", Moment);
    }

    /// <summary>The bench as it lies right before a step, and what the step is about to do to it.</summary>
    /// <exception cref="NotFoundException">No such job.</exception>
    /// <exception cref="InputException">The plan has no such step.</exception>
    private static Ok<BenchMoment> Moment(
        long id,
        string step,
        JobPlans plans,
        SignOffs signOffs,
        CancellationToken cancel
    )
    {
        var planned = plans.Get(id, cancel);
        var asked =
            planned.Plan.Steps.FirstOrDefault(s => s.Id.ToString() == step)
            ?? throw new InputException("/step", MissingWords.PlanHasNoStep(step));
        // a finished job stands as it was signed: nothing is about to be done
        if (planned.Finished)
            return TypedResults.Ok(new BenchMoment(asked.Id, [], null, null, []));
        var signed = StepStands
            .Compute(planned.Plan.Steps, SignOffService.Read(planned.Plan, signOffs.Events(id)), planned.Documents)
            .Where(s => s is { Signed: true, At: not null })
            .ToDictionary(s => s.StepId, s => s.At!);
        return TypedResults.Ok(BenchMoment.Create(planned.Order, planned.Plan, asked, signed));
    }

    private static Ok<IReadOnlyList<TravellerStep>> Steps(
        long id,
        JobPlans plans,
        JobViews views,
        CancellationToken cancel
    )
    {
        var stands = views.View(id, cancel).Steps.ToDictionary(s => s.StepId);
        return TypedResults.Ok<IReadOnlyList<TravellerStep>>([
            .. plans
                .Get(id, cancel)
                .Plan.Steps.Where(s => stands.ContainsKey(s.Id))
                .Select(s => TravellerStep.From(s, stands[s.Id])),
        ]);
    }

    private static Ok<IReadOnlyList<LooseEnd>> Open(long id, JobPlans plans, CancellationToken cancel) =>
        TypedResults.Ok(LooseEnds.Find(plans.Get(id, cancel).Plan.Steps));
}
