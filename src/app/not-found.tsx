import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="screen">
      <div className="bar">
        <h1>Nothing here</h1>
      </div>
      <div className="empty">
        <p>There is nothing at this address. It may have been renamed or put away.</p>
        <p>
          <Link href="/shelf">Look on the Shelf</Link>
        </p>
      </div>
    </main>
  );
}
