using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Perf;

/// <summary>
/// Made-up blocks as a large catalogue holds them: most have another screw pattern, some share a board's retention
/// square, few its perimeter too.
/// </summary>
public static class BlockCrowd
{
    public static Block[] Make(Block model, int count, int seed)
    {
        var r = new Random(seed);
        return [.. Enumerable.Range(0, count).Select(i => One(model, i, r))];
    }

    private static Block One(Block model, int i, Random r)
    {
        var plate = model.Plates[0];
        var kin = r.NextDouble();
        double sx = 0.75 + 0.5 * r.NextDouble(),
            sy = 0.75 + 0.5 * r.NextDouble(),
            jitter = kin < 0.02 ? 0.1 : 0.6;
        var holes = plate
            .Holes.Select(h =>
                kin < 0.04
                    ? h with
                    {
                        X = h.X + (r.NextDouble() - 0.5) * jitter,
                        Y = h.Y + (r.NextDouble() - 0.5) * jitter,
                    }
                    : h with
                    {
                        X = h.X * sx,
                        Y = h.Y * sy,
                        Required = h.Required,
                    }
            )
            .ToList();
        return model with
        {
            Id = $"k{i}",
            Model = $"Made {i}",
            DeclaredFor = [],
            Plates = [plate with { Holes = holes, BaseStepMm = plate.BaseStepMm + (r.NextDouble() - 0.5) * 0.6 }],
        };
    }
}
