using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Match.Trace;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class BlobTests
{
    [Fact]
    public void Patches_are_those_that_a_plain_flood_finds()
    {
        var draws = new NormalDraws(31);
        for (var round = 0; round < 200; round++)
        {
            int w = 1 + (int)(draws.Uniform() * 24),
                h = 1 + (int)(draws.Uniform() * 24);
            var share = draws.Uniform();
            bool[] dark = [.. Enumerable.Range(0, w * h).Select(_ => draws.Uniform() < share)];
            int least = 1 + round % 4,
                most = round % 3 == 0 ? 12 : w * h;
            var found = Blobs
                .Find(dark, w, h, least, most)
                .Select(b => (b.Area, b.SumX, b.SumY, b.SumXX, b.SumXY, b.SumYY, b.MinX, b.MaxX, b.MinY, b.MaxY))
                .Order();
            Assert.Equal(Flooded(dark, w, h, least, most).Order(), found);
        }
    }

    private static List<(double, double, double, double, double, double, int, int, int, int)> Flooded(
        bool[] dark,
        int w,
        int h,
        int least,
        int most
    )
    {
        var left = Enumerable.Range(0, dark.Length).Where(i => dark[i]).ToHashSet();
        List<(double, double, double, double, double, double, int, int, int, int)> all = [];
        while (left.Count > 0)
        {
            var patch = new List<(int X, int Y)>();
            var stack = new Stack<int>([left.First()]);
            left.Remove(stack.Peek());
            while (stack.TryPop(out var i))
            {
                patch.Add((i % w, i / w));
                for (var dy = -1; dy <= 1; dy++)
                for (var dx = -1; dx <= 1; dx++)
                {
                    int x = i % w + dx,
                        y = i / w + dy;
                    if (x >= 0 && y >= 0 && x < w && y < h && left.Remove(y * w + x))
                        stack.Push(y * w + x);
                }
            }
            if (patch.Count < least || patch.Count > most)
                continue;
            all.Add(
                (
                    patch.Count,
                    patch.Sum(p => p.X),
                    patch.Sum(p => p.Y),
                    patch.Sum(p => p.X * p.X),
                    patch.Sum(p => p.X * p.Y),
                    patch.Sum(p => p.Y * p.Y),
                    patch.Min(p => p.X),
                    patch.Max(p => p.X),
                    patch.Min(p => p.Y),
                    patch.Max(p => p.Y)
                )
            );
        }
        return all;
    }

    [Theory]
    [InlineData(5)]
    [InlineData(31)]
    public void Darker_than_the_surroundings_is_what_plain_sums_say(int window)
    {
        var draws = new NormalDraws(8);
        const int w = 40,
            h = 27;
        byte[] pixels = [.. Enumerable.Range(0, w * h).Select(_ => (byte)(draws.Uniform() * 256))];
        var dark = new GreyPicture(w, h, pixels).Darker(window);
        for (var y = 0; y < h; y++)
        for (var x = 0; x < w; x++)
        {
            double sum = 0,
                n = 0;
            for (var j = Math.Max(0, y - window / 2); j <= Math.Min(h - 1, y + window / 2); j++)
            for (var i = Math.Max(0, x - window / 2); i <= Math.Min(w - 1, x + window / 2); i++)
                (sum, n) = (sum + pixels[j * w + i], n + 1);
            Assert.Equal(pixels[y * w + x] * n < sum * (1 - 0.18), dark[y * w + x]);
        }
    }
}
