'use client';

export const PrintButton = () => (
  <button type="button" className="btn btn-sm" onClick={() => print()}>
    Print
  </button>
);
