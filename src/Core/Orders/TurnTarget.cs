namespace FaithfulBracket.Core.Orders;

/// <summary>What one turn of a screw should come to, from the tightening simulation.</summary>
/// <param name="StartTorqueNm">Expected where the turn begins, N·m.</param>
/// <param name="TorqueNm">Expected where it ends, N·m.</param>
/// <param name="LimitNm">More than this may break something, N·m; null takes a quarter over the expected.</param>
public sealed record TurnTarget(double AngleDeg, double StartTorqueNm, double TorqueNm, double? LimitNm = null)
{
    /// <summary>Below this a hand driver's torque says nothing, N·m.</summary>
    public const double MinTorqueNm = 0.01;
}
