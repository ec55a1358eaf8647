using System.Security.Cryptography;
using System.Text;
using Dapper;
using FaithfulBracket.Core.Prove;

namespace FaithfulBracket.Store;

/// <summary>One turn of a torque driver, as it was made.</summary>
/// <param name="StepId">The pass it belongs to.</param>
/// <param name="State">met, overshoot, cross-thread, skipped or free.</param>
/// <param name="AngleDeg">Turned, degrees.</param>
/// <param name="TorqueNm">Hardest, N·m.</param>
/// <param name="TargetDeg">What was due, degrees.</param>
/// <param name="TargetNm">What was due, N·m.</param>
public sealed record DriverTurnRow(
    long Id,
    string StepId,
    string Hole,
    string State,
    double AngleDeg,
    double TorqueNm,
    double TargetDeg,
    double TargetNm,
    FigureSource Source,
    string ByInitials,
    string At
);

/// <param name="Samples">Angle and torque one after the other, JSON.</param>
public sealed record NewDriverTurn(
    string StepId,
    string Hole,
    string State,
    double AngleDeg,
    double TorqueNm,
    double TargetDeg,
    double TargetNm,
    string Samples,
    FigureSource Source,
    string By
);

/// <summary>Turns of a torque driver in a job's passes; what was turned is never changed.</summary>
public sealed class DriverTurns(ShopDatabase database, TimeProvider time)
{
    /// <summary>Two that watch one turn write it within so long of each other.</summary>
    private static readonly TimeSpan Watchers = TimeSpan.FromSeconds(1);

    private const string Columns =
        "id, step_id, hole, state, angle_deg, torque_nm, target_deg, target_nm, source, by_initials, at";

    public IReadOnlyList<DriverTurnRow> All(long jobId)
    {
        using var c = database.Open();
        return
        [
            .. c.Query<DriverTurnRow>(
                $"select {Columns} from driver_turn where job_id = @jobId order by id",
                new { jobId }
            ),
        ];
    }

    /// <summary>Keeps a turn; one that two tablets watched is kept once.</summary>
    public void Keep(long jobId, NewDriverTurn turn) =>
        database.Change(
            (c, t) =>
                c.Execute(
                    """
                    insert into driver_turn
                        (job_id, step_id, hole, state, angle_deg, torque_nm, target_deg, target_nm, samples, digest, source,
                            by_initials, at)
                    select @jobId, @StepId, @Hole, @State, @AngleDeg, @TorqueNm, @TargetDeg, @TargetNm, @Samples, @digest, @Source,
                        @By, @at
                    where not exists (
                        select 1 from driver_turn
                        where job_id = @jobId and step_id = @StepId and hole = @Hole and digest = @digest and at > @since)
                    """,
                    new
                    {
                        jobId,
                        turn.StepId,
                        turn.Hole,
                        turn.State,
                        turn.AngleDeg,
                        turn.TorqueNm,
                        turn.TargetDeg,
                        turn.TargetNm,
                        turn.Samples,
                        turn.Source,
                        turn.By,
                        digest = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(turn.Samples))),
                        at = Stamp.Format(time),
                        since = Stamp.Format(time.GetUtcNow() - Watchers),
                    },
                    t
                )
        );
}
