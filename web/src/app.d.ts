declare global {
  namespace App {
    interface Error {
      /** No server was reached. */
      away?: true;
      message: string;
      /** Ties what the user sees to the server's log. */
      id?: string;
    }
  }
}

export {};
