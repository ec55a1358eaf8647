using System.Text.Json.Nodes;
using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Formats.Documents.Editing;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>What differs from the document that another was begun from.</summary>
public class LikeDifferenceTests
{
    private static JsonObject Demo(string path) =>
        JsonNode.Parse(File.ReadAllText(Path.Combine(Sample.Demo, path)))!.AsObject();

    [Fact]
    public void A_moved_a_changed_a_new_and_a_missing_part_are_told_each_with_its_place()
    {
        var like = Demo("boards/tern-460-r2.board.json");
        var other = like.DeepClone().AsObject();
        other["id"] = "another";
        other["model"] = "Another";
        Assert.Empty(LikeDifferences.Find(other, like));

        var parts = other["parts"]!.AsArray();
        var (moved, changed, gone) = (parts[0]!, parts[1]!, parts[2]!);
        moved["x"] = (double)moved["x"]! + 1.5;
        changed["heightMm"] = 9.9;
        parts.RemoveAt(2);
        var added = changed.DeepClone();
        added["id"] = "NEW1";
        parts.Add(added);
        other["thicknessMm"] = 1.2;
        var told = LikeDifferences.Find(other, like).ToDictionary(d => d.Name);
        Assert.Equal(5, told.Count);

        var m = told[$"part {moved["id"]}"];
        Assert.Equal((LikeChange.Moved, "moved by +1.5, 0 mm"), (m.Change, m.Text));
        Assert.Equal(1.5, (m.Is!.Value - m.Was!.Value).X, 9);
        var c = told[$"part {changed["id"]}"];
        Assert.Equal(LikeChange.Changed, c.Change);
        Assert.EndsWith("→ 9.9", c.Text, StringComparison.Ordinal);
        var n = told["part NEW1"];
        Assert.Equal((LikeChange.New, (Point2?)null, $"/parts/{parts.Count - 1}"), (n.Change, n.Was, n.At));
        Assert.Equal(
            (LikeChange.Gone, (Point2?)null),
            (told[$"part {gone["id"]}"].Change, told[$"part {gone["id"]}"].Is)
        );
        Assert.Contains("thicknessMm 1.6 → 1.2", told["the whole"].Text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_land_of_the_same_shape_elsewhere_is_moved_and_one_of_another_shape_is_changed()
    {
        var like = Demo("blocks/brineworks-full-460.block.json");
        var other = like.DeepClone().AsObject();
        var lands = other["plates"]![0]!["lands"]!.AsArray();
        foreach (var p in lands[0]!["outline"]!.AsArray())
            p![1] = (double)p[1]! - 2;
        lands[1]!["outline"]![0]![0] = (double)lands[1]!["outline"]![0]![0]! - 3;
        lands[1]!["stepMm"] = 0.4;
        var told = LikeDifferences.Find(other, like);
        Assert.Equal("moved by 0, −2 mm", told.Single(d => d.At == "/plates/0/lands/0").Text);
        Assert.Contains("stepMm", told.Single(d => d.At == "/plates/0/lands/1").Text, StringComparison.Ordinal);
        Assert.Equal(2, told.Count);
    }
}
