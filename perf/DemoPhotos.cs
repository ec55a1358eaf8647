using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Instruments;

namespace FaithfulBracket.Perf;

/// <summary>Renders the demo shop's photos: the unlabelled board on the bench, the target beside it, with known truth.</summary>
internal static class DemoPhotos
{
    public static void Write()
    {
        var folder = Path.Combine(Path.GetDirectoryName(Demo.DocsFile)!, "../demo");
        var board = BoardReader.Read(File.ReadAllBytes(Path.Combine(folder, "boards/dunlin-250-traced.board.json")));
        var scene = new PhotoScene(
            board,
            new(-70, -215, 0),
            new(30, -75),
            new(2000, 1500, 1900, 400, 28, 12, -0.05),
            7
        );
        var picture = scene.Take();
        var data = PhotoPixels.Jpeg(picture);
        Directory.CreateDirectory(Path.Combine(folder, "photos"));
        File.WriteAllBytes(Path.Combine(folder, "photos/dunlin-bench.jpg"), data);
        // what is where, from the picture's corner, for whoever wants to check a trace
        double[] Px(double x, double y, double z)
        {
            var p = scene.See(x, y, z);
            return [Math.Round(p.X + 0.5, 2), Math.Round(p.Y + 0.5, 2)];
        }
        File.WriteAllText(
            Path.Combine(folder, "photos/dunlin-bench.truth.json"),
            System.Text.Json.JsonSerializer.Serialize(
                new
                {
                    holes = board.Holes.Select(h => new
                    {
                        id = h.Id,
                        px = Px(h.X, h.Y, 0),
                        xMm = h.X,
                        yMm = h.Y,
                    }),
                    parts = board
                        .Parts.Where(p => p.Kind != Core.Boards.PartKind.Empty)
                        .Select(p => new
                        {
                            id = p.Id,
                            kind = p.Kind.ToString(),
                            heightMm = p.HeightMm,
                            corners = p.Corners().Select(c => Px(c.X, c.Y, p.HeightMm)),
                        }),
                }
            )
        );
        Console.WriteLine($"demo/photos/dunlin-bench.jpg, {data.Length / 1024} kB");
    }
}
