using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>A turn of a torque driver as a page and a record tell it.</summary>
/// <param name="Pass">Title of the step it belongs to.</param>
/// <param name="Screw">What was turned, with its number and its hole.</param>
/// <param name="Turned">How far and how hard, in words.</param>
/// <param name="Due">The same of what was due.</param>
/// <param name="CameTo">The state in words.</param>
internal sealed record DriverTurnView(
    long Id,
    string StepId,
    string Hole,
    TurnState State,
    double AngleDeg,
    double TorqueNm,
    double TargetDeg,
    double TargetNm,
    string Pass,
    string Screw,
    string Turned,
    string Due,
    string CameTo,
    FigureSource Source,
    string ByInitials,
    string At
)
{
    public static DriverTurnView From(DriverTurnRow row, JobPlan plan)
    {
        var step = plan.Steps.FirstOrDefault(s => s.Id.ToString() == row.StepId);
        var screw = step?.Turns.FirstOrDefault(t => t.Hole == row.Hole);
        var state = EnumNames<TurnState>.TryParse(row.State, out var known) ? known : TurnState.Turning;
        return new(
            row.Id,
            row.StepId,
            row.Hole,
            state,
            row.AngleDeg,
            row.TorqueNm,
            row.TargetDeg,
            row.TargetNm,
            step?.Title ?? row.StepId,
            screw is null ? row.Hole : $"{screw.Thing} {screw.Number}, {row.Hole}",
            DriverWatch.Turned(row.AngleDeg, row.TorqueNm),
            DriverWatch.Turned(row.TargetDeg, row.TargetNm),
            DriverWatch.CameTo(state),
            row.Source,
            row.ByInitials,
            row.At
        );
    }
}
