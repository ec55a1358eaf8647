using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Sockets;

/// <summary>Which of a block's kits for a socket is taken: the one whose posts and processor fit.</summary>
public static class SocketKits
{
    /// <param name="lid">False where the lid is taken off.</param>
    /// <param name="bondMm">Paste layer between contact and block.</param>
    /// <returns>Null where the block has no kit for this socket.</returns>
    public static SocketFit? Choose(Block block, Socket socket, Board processor, bool lid, double bondMm) =>
        block
            .Sockets.Where(s => s.Socket == socket.Id)
            .OrderBy(s => Misfit(s, socket, HeightChain.Create(socket, processor, block, s, lid, bondMm)))
            .FirstOrDefault();

    /// <summary>The kit where nothing is known of the socket's posts or of the processor: the first.</summary>
    public static SocketFit? First(Block block, string socket) => block.Sockets.FirstOrDefault(s => s.Socket == socket);

    /// <summary>
    /// How badly a kit fits: posts before stops, stops before the load on the contacts, that before washers.
    /// </summary>
    private static (int Posts, int Stops, int Contacts, double ShimMm) Misfit(
        SocketFit kit,
        Socket socket,
        HeightChain chain
    ) =>
        (
            SocketMatch.PostsOf(kit.Posts) is { } posts && posts != socket.Posts ? 1 : 0,
            chain.StopGapMm is < 0 ? 1 : 0,
            chain.SocketLoadN < socket.ContactMinN || chain.SocketLoadN > socket.ContactMaxN ? 1 : 0,
            chain.ShimMm
        );
}
