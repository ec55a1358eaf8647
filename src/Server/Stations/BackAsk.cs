using FaithfulBracket.Core;
using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Plans.Back;
using FaithfulBracket.Core.Plans.Walk;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Stations;

namespace FaithfulBracket.Server.Stations;

/// <summary>What a body asks of the way back.</summary>
/// <param name="After">The last step that was done; null for all of them.</param>
/// <param name="Keep">What stays as it is.</param>
internal sealed record BackAsk(StepId? After, IReadOnlyList<ThingId> Keep)
{
    private const int MaxKept = 200;

    /// <returns>Null where no way back is asked for.</returns>
    public static BackAsk? Read(ObjectReader o)
    {
        if (o.Raw("back") is not { } raw)
            return null;
        if (raw.ValueKind is System.Text.Json.JsonValueKind.True or System.Text.Json.JsonValueKind.False)
            return raw.GetBoolean() ? new(null, []) : null;
        var back = o.Object("back");
        StepId? after = null;
        if (back.OptionalText("after", 200) is { } text)
        {
            if (StepId.TryParse(text, out var id))
                after = id;
            else
                back.Fault("after", BackAskWords.IsNotIdOfStepSuch(text));
        }
        var named = back.Has("keep") ? back.Texts("keep") : [];
        if (named.Count > MaxKept)
            back.Fault("keep", BackAskWords.ExpectedAtMostThings(MaxKept));
        var keep = new List<ThingId>();
        for (var i = 0; i < named.Count; i++)
            if (ThingId.TryParse(named[i], out var thing))
                keep.Add(thing);
            else
                back.FaultAt($"keep/{i}", BackAskWords.IsNotIdOfThingSuch(named[i]));
        back.End();
        return new(after, keep);
    }

    /// <exception cref="InputException">The plan has no such step, or the bench no such thing.</exception>
    public BackPlan Plan(JobContext context, JobPlan plan)
    {
        List<WorkStep> steps = [.. plan.Steps];
        var last = After is { } after ? steps.FindIndex(s => s.Id == after) : steps.Count - 1;
        if (last < 0)
            throw new InputException("/back/after", BackAskWords.PlanHasNoStep(After));
        var scene = BenchScene.Create(context.Order, plan);
        for (var i = 0; i < Keep.Count; i++)
            if (scene.Find(Keep[i]) is null)
                throw new InputException($"/back/keep/{i}", BackAskWords.ThereIsNoOnThisBench(Keep[i]));
        return BackPlan.Create(context.Order, plan, scene, context.AsFound, steps.GetRange(0, last + 1), Keep);
    }
}
