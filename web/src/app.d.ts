declare global {
  namespace App {
    interface Error {
      message: string;
      /** Ties what the user sees to the server's log. */
      id?: string;
    }
  }
}

export {};
