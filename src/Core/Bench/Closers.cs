namespace FaithfulBracket.Core.Bench;

/// <summary>Which plates an act closes over which board.</summary>
internal static class Closers
{
    /// <summary>
    /// The plates of a block that lie on the board of a lowering, whichever of the two moves; a back plate that is
    /// fitted; nothing for any other act.
    /// </summary>
    public static IEnumerable<SceneThing> By(Scene scene, Act act)
    {
        if (act.Do == Verb.Fit && act.Thing.Kind == ThingKind.Backplate)
            return [scene.Find(act.Thing)!];
        if (scene.IsBack && act is { Do: Verb.BringBack, Thing.Kind: ThingKind.Piece })
            return [scene.Find(act.Thing)!];
        // a block that is set on the carriers of its modules closes over nothing more
        if (act.Do != Verb.Lower || act.To is null)
            return [];
        if (act.Thing.Kind is ThingKind.Half or ThingKind.Carrier || act.To is { Kind: ThingKind.Half })
            return scene
                .Find(act.Thing.Kind == ThingKind.Board ? act.To!.Value : act.Thing)!
                .On.Select(scene.Find)
                .OfType<SceneThing>();
        var (block, board) =
            act.Thing.Kind == ThingKind.Board ? (act.To?.Owner, act.Thing.Owner) : (act.Thing.Owner, act.To?.Owner);
        return block is null ? [] : scene.OwnedBy(block).Where(t => t.Id.Kind == ThingKind.Plate && t.Board == board);
    }
}
