using MathNet.Numerics.Distributions;

namespace FaithfulBracket.Core.Prove;

/// <summary>How many standard errors an interval reaches on either side.</summary>
internal static class Student
{
    /// <param name="share">Of the interval, 0.95 for 95 %.</param>
    /// <param name="freedom">Degrees of freedom, at least 1.</param>
    public static double Times(double share, double freedom) =>
        StudentT.InvCDF(0, 1, Math.Max(1, freedom), 0.5 + share / 2);

    /// <summary>With the errors known beforehand.</summary>
    public static double Normal(double share) => MathNet.Numerics.Distributions.Normal.InvCDF(0, 1, 0.5 + share / 2);
}
