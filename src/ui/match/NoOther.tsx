import Link from 'next/link';

/** Said where there is but one program on the Shelf. */
export function NoOther({ program }: { program: string }) {
  return (
    <div className="screen">
      <header className="bar">
        <h1>Match</h1>
      </header>
      <main>
        <p className="empty">
          {program} is the only program on your Shelf. <Link href="/shelf/bring-in">Bring another program in</Link>, and
          its keys can be made to feel like that one’s.
        </p>
      </main>
    </div>
  );
}
