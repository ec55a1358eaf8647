using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Core.Match;

/// <summary>A pair's miss/slack as an affine function of x, y and turn·lever.</summary>
internal readonly record struct PlacementRow(
    double U,
    double V,
    double Ux,
    double Vx,
    double Uy,
    double Vy,
    double Uw,
    double Vw
)
{
    public static PlacementRow Create(in HolePair pair, in Placement at, double lever)
    {
        var slack = 1 / Math.Max(pair.SlackMm, HolePair.MinSlackMm);
        var arm = pair.Block.Turned(at.Radians);
        Point2 miss = pair.Miss(at),
            turn = new Point2(-arm.Y, arm.X) * (1 / lever);
        if (pair.SlotHalfMm > 0)
        {
            var along = new Point2(Math.Cos(pair.SlotRadians), Math.Sin(pair.SlotRadians));
            if (Math.Abs(miss.Dot(along)) < 1e-12)
            {
                // inside the slot's reach only the sideways miss counts
                var side = new Point2(-along.Y, along.X);
                return new(miss.Dot(side) * slack, 0, side.X * slack, 0, side.Y * slack, 0, turn.Dot(side) * slack, 0);
            }
        }
        return new(miss.X * slack, miss.Y * slack, slack, 0, 0, slack, turn.X * slack, turn.Y * slack);
    }

    public (double U, double V) At(double x, double y, double w) =>
        (U + Ux * x + Uy * y + Uw * w, V + Vx * x + Vy * y + Vw * w);

    public double Norm(double x, double y, double w)
    {
        var (u, v) = At(x, y, w);
        return Math.Sqrt(u * u + v * v);
    }
}
